/** Three screens for whoever opens it first. */
export const tourWords = {
  tour: 'How it goes',
  step: (number: number, of: number): string => `${number} of ${of}`,
  next: 'Next',
  skip: 'Skip',
  done: 'Got it',
  steps: [
    {
      title: 'Say what you hold',
      text: 'New hole: tap the thing, its size and the hole. A few taps, no forms. Everything else starts from what is usual and can be changed.',
    },
    {
      title: 'Read the plan',
      text: 'How hard to press, how fast to turn, how long it takes, when to lift, and what is likely to go wrong, as ranges. Tap Why? for the working. A stop means stop.',
    },
    {
      title: 'Take it to the bench',
      text: 'Drill leads you through: big figures, one thing at a time, with sound and vibration. What happens is kept, signal or not, and the next plan starts from it.',
    },
  ],
} as const;
