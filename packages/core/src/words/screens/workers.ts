/** Work beside the screen: files and plans. */
export const workersWords = {
  cancelled: 'Cancelled.',
  tookLongerThanS: (input: string, count: number): string =>
    `“${input}” took longer than ${count} s to read and was left. Save less in one file.`,
  itTookTooLong: 'It took too long and was stopped.',
  itCouldNotBe: 'It could not be read or written here.',
  itCouldNotBeWorked: 'It could not be worked out from these values.',
};
