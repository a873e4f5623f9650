import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { MachineSpeeds } from '@nucleon/core/data/machines/machineSpeeds';

/** `280, 480, 750` as steps, `600-8500` as a range; anything else is not speeds. */
export function readSpeeds(text: string): MachineSpeeds | null {
  const range = /^\s*(\d+)\s*[-–]\s*(\d+)\s*$/.exec(text);
  if (range) {
    const [minRpm, maxRpm] = [Number(range[1]), Number(range[2])];
    return minRpm <= maxRpm && maxRpm > 0 && maxRpm <= LIMITS.rpm.max
      ? { kind: 'range', minRpm, maxRpm }
      : null;
  }
  const steps = text
    .split(/[,;\s]+/)
    .filter(Boolean)
    .map(Number);
  const fine =
    steps.length > 0 &&
    steps.length <= 50 &&
    steps.every((rpm) => rpm > 0 && rpm <= LIMITS.rpm.max);
  return fine ? { kind: 'steps', rpm: steps } : null;
}

export function showSpeeds(speeds: MachineSpeeds): string {
  switch (speeds.kind) {
    case 'range':
      return `${speeds.minRpm}-${speeds.maxRpm}`;
    case 'steps':
      return speeds.rpm.join(', ');
    case 'gears':
      return speeds.gears
        .map((gear) =>
          gear.minRpm === gear.maxRpm ? String(gear.maxRpm) : `${gear.minRpm}-${gear.maxRpm}`,
        )
        .join(' / ');
  }
}
