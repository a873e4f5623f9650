import type { Bending, BendingDecline, BendingTrouble } from '../../documents/bending';

const DECLINED: Readonly<Record<BendingDecline, string>> = {
  thick: 'thicker than a quarter of its span, it does not bend as a plate.',
  curved: 'a curved wall is stiffer than a plate and is not calculated as one.',
  'built-in': 'it is part of a building and does not bend here.',
  layered: 'leaves of different kinds do not bend as one plate.',
  later: 'it is still being worked out.',
};

const TROUBLE: Readonly<Record<BendingTrouble, string>> = {
  unheld: 'nothing holds the piece. Add a bed or pads under it, or rest its edges on battens.',
  tips: 'it tips: pressed there it turns over what is under it. Put a pad under the hole, or on the far side of it.',
  'contact-unsettled':
    'the contact with its bed did not settle. Lay it flatter, or on something softer.',
  'mesh-too-fine': 'the piece is too large beside so small a hole to be worked out whole.',
  'rim-off-piece': 'the rim runs over an edge or an open hole.',
};

/** Why there is no bending, to follow a colon; empty where there is one. */
export function bendingText(bending: Bending): string {
  if (bending.kind === 'declined') return DECLINED[bending.why];
  if (bending.kind === 'trouble') {
    const counted =
      bending.max === undefined
        ? ''
        : ` It would take over ${bending.count ?? bending.max} points; ${bending.max} is the limit.`;
    return `${TROUBLE[bending.trouble]}${counted}`;
  }
  return '';
}
