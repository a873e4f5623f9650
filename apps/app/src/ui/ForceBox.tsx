import type { NumberLimit } from '@nucleon/core/data/schema/limits';
import { forceLimit, newtonPerForce } from '@nucleon/core/words/units/formatQuantity';
import { useUnits } from '../features/display/displayStore';
import { NumberBox } from './NumberBox';

interface ForceBoxProps {
  readonly label: string;
  readonly inRow?: boolean;
  readonly valueN: number;
  /** In newtons. */
  readonly limit: NumberLimit;
  readonly onChangeN: (forceN: number) => void;
  readonly testID?: string;
}

/** A force in the person's own unit, to three figures. */
export function ForceBox({ valueN, limit, onChangeN, ...rest }: ForceBoxProps) {
  const units = useUnits();
  const perUnit = newtonPerForce(units);
  return (
    <NumberBox
      {...rest}
      value={Number((valueN / perUnit).toPrecision(3))}
      limit={forceLimit(limit, units)}
      onChange={(force) => {
        if (force !== undefined) onChangeN(force * perUnit);
      }}
    />
  );
}
