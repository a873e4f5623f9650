import { SIGNS } from '../../data/signs/signs';
import type { RunAct } from '../../documents/runEvent';

/** What was done, as it is named when it may be taken back. */
export function actWords(act: RunAct): string {
  switch (act.kind) {
    case 'open':
      return 'opened';
    case 'start':
      return 'started';
    case 'pause':
      return 'paused';
    case 'resume':
      return 'went on';
    case 'measure':
      return act.by === 'rule' ? 'measured' : 'moved the rim';
    case 'next':
      return 'done, next';
    case 'through':
      return 'it is through';
    case 'sign':
      return SIGNS[act.sign].title.toLowerCase();
    case 'helped':
      return 'did it help';
    case 'crack':
      return 'it cracked';
    case 'abort':
      return 'given up';
    case 'undo':
      return 'taken back';
    case 'drive':
      return 'took over';
    case 'result':
      return 'result';
  }
}
