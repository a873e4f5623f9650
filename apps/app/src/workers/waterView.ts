import { faultyInWords } from '@nucleon/core/words/faults';
import { waterAdvice, type WaterPart } from '@nucleon/core/words/advice/waterAdvice';
import { cloudingOf, type Clouding } from '@nucleon/core/advice/choice/clouding';
import type { Fault } from '@nucleon/core/documents/fault';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { rimStory, type RimStory } from '@nucleon/core/advice/risk/rimStory';
import { inUnits } from '@nucleon/core/words/plan/planInUnits';
import { rimStoryText } from '@nucleon/core/words/plan/rimStoryText';
import type { Bend } from '@nucleon/core/physics/plate/bender';
import type { AskedHole } from './askedHole';

/** What the planned water asks for, and how the ring fares. */
export interface WaterView {
  readonly advice: readonly WaterPart[];
  readonly clouding: readonly Clouding[];
  readonly finesColour: string;
  readonly story: RimStory;
  readonly storyText: string;
}

export type WaterViewOutcome =
  | { readonly kind: 'worked-out'; readonly view: WaterView }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

export function waterView(
  { drillCase, units, dryForS }: AskedHole & { readonly dryForS: number },
  bend: Bend,
): WaterViewOutcome {
  const worked = contextOf(drillCase, bend);
  if (worked.kind === 'faulty') return faultyInWords(worked);
  const { context } = worked;
  const story = rimStory(context, dryForS);
  return {
    kind: 'worked-out',
    view: {
      advice: waterAdvice(inUnits(context, units)),
      clouding: cloudingOf(context),
      finesColour: context.headline.material.finesColour,
      story,
      storyText: rimStoryText(story, units),
    },
  };
}
