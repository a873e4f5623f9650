import { format } from 'date-fns/format';

export const day = (at: string): string => format(new Date(at), 'd MMM yyyy');
export const dayAndTime = (at: string): string => format(new Date(at), 'd MMM, HH:mm');
