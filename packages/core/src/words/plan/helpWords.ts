import type { Help } from '../../data/operations';

/** What the second person does, as a choice, as a step, and as it is called out at the bench. */
export const HELP_WORDS: Readonly<
  Record<Help, { readonly label: string; readonly step: string; readonly cue: string }>
> = {
  water: {
    label: 'Holds the water',
    step: 'Water on the groove without a break, and off at a word.',
    cue: 'The other one keeps the water on the groove.',
  },
  vacuum: {
    label: 'Holds the vacuum',
    step: 'Nozzle at the rim, on before the bit touches.',
    cue: 'The other one keeps the nozzle at the rim.',
  },
  light: {
    label: 'Holds the light',
    step: 'Light from the side: glare hides the mark.',
    cue: 'The other one lights the mark from the side.',
  },
  'depth-mark': {
    label: 'Watches the depth mark',
    step: 'Eyes level with the mark on the barrel; calls it before it is there.',
    cue: 'The other one watches the depth mark and calls it.',
  },
  steady: {
    label: 'Steadies the piece',
    step: 'Both hands on the piece, clear of the bit, until it is stopped.',
    cue: 'The other one steadies the piece until it is stopped.',
  },
};
