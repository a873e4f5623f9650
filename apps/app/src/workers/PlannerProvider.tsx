import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { openPlanWorker, workerPlanner, type Planner } from './planner';

const PlannerContext = createContext<Planner | null>(null);

/** One plan worker for the whole app; tests give their own planner. */
export function PlannerProvider({
  planner,
  children,
}: {
  readonly planner?: Planner;
  readonly children: ReactNode;
}) {
  const [own] = useState(() => planner ?? workerPlanner(openPlanWorker()));
  useEffect(
    () => () => {
      own.close();
    },
    [own],
  );
  return <PlannerContext.Provider value={own}>{children}</PlannerContext.Provider>;
}

export function usePlanner(): Planner {
  const planner = useContext(PlannerContext);
  if (!planner) throw new Error('usePlanner needs a PlannerProvider above it.');
  return planner;
}
