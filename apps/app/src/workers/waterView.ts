import {
  cloudingOf,
  waterAdvice,
  type Clouding,
  type WaterPart,
} from '@nucleon/core/advice/choice/waterAdvice';
import type { Fault } from '@nucleon/core/documents/fault';
import { contextOf } from '@nucleon/core/plan/makePlan';
import { rimStory, type RimStory } from '@nucleon/core/advice/risk/rimStory';
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
  | { readonly kind: 'told'; readonly view: WaterView }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

export function waterView(
  { drillCase, units, dryForS }: AskedHole & { readonly dryForS: number },
  bend: Bend,
): WaterViewOutcome {
  const worked = contextOf(drillCase, units, bend);
  if (worked.kind === 'faulty') return worked;
  const { context } = worked;
  const story = rimStory(context, dryForS);
  return {
    kind: 'told',
    view: {
      advice: waterAdvice(context),
      clouding: cloudingOf(context),
      finesColour: context.headline.material.finesColour,
      story,
      storyText: rimStoryText(story, units),
    },
  };
}
