import type { Help } from '../../data/operations';

/** Where the drilling stands, as it matters to a second person. */
export type HelpMoment = 'ready' | 'cutting' | 'lift' | 'ending' | 'stopped';

interface HelpText {
  readonly label: string;
  readonly step: string;
  /** Beside what the one who drills does. */
  readonly cue: string;
  /** On the second person’s own device: the one thing to do now. */
  readonly now: Readonly<Record<HelpMoment, string>>;
}

/** What the second person does, as a choice, as a step, and as it is called out at the bench. */
export const HELP_WORDS: Readonly<Record<Help, HelpText>> = {
  water: {
    label: 'Holds the water',
    step: 'Water on the groove without a break, and off when told.',
    cue: 'The other one keeps the water on the groove.',
    now: {
      ready: 'Water on before it touches',
      cutting: 'Water on the groove',
      lift: 'Water into the groove',
      ending: 'Keep the water on',
      stopped: 'Water off',
    },
  },
  vacuum: {
    label: 'Holds the vacuum',
    step: 'Nozzle at the rim, on before the bit touches.',
    cue: 'The other one keeps the nozzle at the rim.',
    now: {
      ready: 'Vacuum on, nozzle at the rim',
      cutting: 'Nozzle at the rim',
      lift: 'Nozzle over the groove',
      ending: 'Nozzle at the rim',
      stopped: 'Leave it on until the dust is gone',
    },
  },
  light: {
    label: 'Holds the light',
    step: 'Light from the side: glare hides the mark.',
    cue: 'The other one lights the mark from the side.',
    now: {
      ready: 'Light on the mark, from the side',
      cutting: 'Light from the side',
      lift: 'Light into the groove',
      ending: 'Light on the far face',
      stopped: 'Light from the side: look for cracks',
    },
  },
  'depth-mark': {
    label: 'Watches the depth mark',
    step: 'Eyes level with the mark on the barrel; calls it before it is there.',
    cue: 'The other one watches the depth mark and calls it.',
    now: {
      ready: 'Eyes level with the mark',
      cutting: 'Watch the mark, call it',
      lift: 'Read the depth, say it',
      ending: 'Call when it is through',
      stopped: 'Read the depth, say it',
    },
  },
  steady: {
    label: 'Steadies the piece',
    step: 'Both hands on the piece, clear of the bit, until it is stopped.',
    cue: 'The other one steadies the piece until it is stopped.',
    now: {
      ready: 'Both hands on the piece, clear of the bit',
      cutting: 'Hold it steady',
      lift: 'Hold it steady',
      ending: 'Hold it; catch the plug',
      stopped: 'Let go once the motor stands',
    },
  },
};
