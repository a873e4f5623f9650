/** The rooms round one hole that have an address under its own. */
export type HoleRoomPath =
  | 'operations'
  | 'choose'
  | 'window'
  | 'compare'
  | 'press'
  | 'held'
  | 'water'
  | 'through'
  | 'risk'
  | 'hire'
  | 'know'
  | 'purpose'
  | 'instead'
  | 'guide'
  | 'ready';

declare const ROUTE: unique symbol;
/** An address of the app, made here: no screen writes one by hand. */
export type Route = string & { readonly [ROUTE]: true };

const route = (path: string, query: Readonly<Record<string, string | undefined>> = {}): Route => {
  const given = Object.entries(query).filter(([, value]) => value !== undefined);
  const asked = given.map(([name, value]) => `${name}=${encodeURIComponent(value ?? '')}`);
  return (asked.length > 0 ? `${path}?${asked.join('&')}` : path) as Route;
};

/** What is searched, and the job and hole that stand beside the list on a wide screen. */
export interface JobsQuery {
  readonly search?: string;
  readonly job?: string;
  readonly hole?: string;
}

/** What the log may be narrowed to by a link. */
interface LogQuery {
  readonly holeId?: string;
  readonly pieceId?: string;
  readonly bitId?: string;
}

export const routes = {
  jobs: (query: JobsQuery = {}) => route('/', { ...query }),
  /** Of jobs that were deleted, or of what was deleted from one. */
  bin: (jobId?: string) => route(jobId === undefined ? '/bin' : `/jobs/${jobId}/bin`),
  /** @param said what is answered already, and the job it joins */
  newHole: (said: Readonly<Record<string, string | undefined>> = {}) => route('/new', said),
  display: () => route('/display'),
  people: () => route('/people'),
  audit: () => route('/audit'),
  learning: () => route('/learning'),
  kit: (query: { readonly shelf?: string; readonly check?: string } = {}) =>
    route('/kit', { ...query }),
  log: (query: LogQuery = {}) => route('/log', { ...query }),
  job: (jobId: string) => route(`/jobs/${jobId}`),
  materials: (jobId: string) => route(`/jobs/${jobId}/materials`),
  hole: (jobId: string, holeId: string, room?: HoleRoomPath) =>
    route(`/jobs/${jobId}/holes/${holeId}${room === undefined ? '' : `/${room}`}`),
  purpose: (jobId: string, holeId: string, kind: string) =>
    route(`/jobs/${jobId}/holes/${holeId}/purpose`, { kind }),
  place: (jobId: string, pieceId: string, hole?: string) =>
    route(`/jobs/${jobId}/pieces/${pieceId}/place`, { hole }),
  marks: (jobId: string, pieceId: string) => route(`/jobs/${jobId}/pieces/${pieceId}/marks`),
  run: (runId: string) => route(`/runs/${runId}`),
  result: (runId: string) => route(`/runs/${runId}/result`),
} as const;
