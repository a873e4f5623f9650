/** Tells this page's other tabs that a run's record has grown. */
const channel =
  typeof document !== 'undefined' && typeof BroadcastChannel === 'function'
    ? new BroadcastChannel('nucleon-runs')
    : null;

export function tellTabs(runId: string): void {
  channel?.postMessage(runId);
}

export function hearTabs(grown: (runId: string) => void): void {
  if (channel)
    channel.onmessage = ({ data }: MessageEvent<string>) => {
      grown(data);
    };
}
