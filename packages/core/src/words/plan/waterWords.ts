import type { CoolantId } from '../../data/coolants';

/** What is done with standing water that is full of fines: a bath is changed, a small pool flushed. */
export const renewal = (coolant: CoolantId): 'Flush the dam' | 'Change the water' =>
  coolant === 'pool' ? 'Flush the dam' : 'Change the water';
