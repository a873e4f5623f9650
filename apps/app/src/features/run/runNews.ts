/** Tells other tabs that a run's record has grown. A phone's own app has none. */
const channel = 'document' in globalThis ? new BroadcastChannel('nucleon-runs') : null;

export function tellTabs(runId: string): void {
  channel?.postMessage(runId);
}

export function hearTabs(grown: (runId: string) => void): void {
  if (channel)
    channel.onmessage = ({ data }: MessageEvent<string>) => {
      grown(data);
    };
}
