/** Guide, dam and fall. */
export const guideWords = {
  guideDamAndFall: 'Guide, dam and fall',
  guideBoard: 'Guide board',
  boardThick: 'Board thickness',
  widerThanBitBy: 'Wider than the bit by',
  thisGuideCountsIn:
    'This guide counts in the plan: where the hole comes out, and how steadily it is held.',
  changeNumberAndThis: 'Change a number and this guide is used in the plan.',
  waterDam: 'Water dam',
  inside: 'Inside',
  wall: 'Wall',
  high: 'High',
  fall: 'Fall',
  whichFaceLiesLower: 'Which face lies lower?',
  noFall: 'No fall',
  theFarFace: 'The far face',
  theNearFace: 'The near face',
  fallsOneIn: 'Falls one in',
  guidesFootLong: 'Guide foot length',
  guide: 'Guide',
};
