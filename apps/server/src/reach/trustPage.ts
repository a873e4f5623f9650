import { trustWords, type TrustSystem } from '@nucleon/core/words/screens/trust';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { derOf, fingerprintOf } from './authority';

/** What a phone says it is; the first that fits. */
const SYSTEMS: readonly (readonly [TrustSystem, RegExp])[] = [
  ['iphone', /iPhone|iPad/],
  ['android', /Android/],
  ['mac', /Macintosh/],
  ['windows', /Windows/],
  ['linux', /./],
];

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

const STYLE = `
:root { color-scheme: light dark; --ink: #16232b; --soft: #4c5d66; --ground: #f3f1ec; --surface: #fbfaf7; --line: #cbc8be; --water: #0a6373 }
@media (prefers-color-scheme: dark) { :root { --ink: #eaf0ef; --soft: #a5b7bd; --ground: #10191e; --surface: #17242b; --line: #35464e; --water: #6ccbda } }
body { margin: 0; background: var(--ground); color: var(--ink); font: 17px/1.5 system-ui, sans-serif }
main { max-width: 34rem; margin: 0 auto; padding: 1.25rem }
h1 { font-size: 1.5rem; line-height: 1.25 } h2 { font-size: 1.1rem; margin-top: 2rem }
a.go { display: block; padding: 0.9rem; margin: 1rem 0; text-align: center; border-radius: 4px; font-weight: 700; text-decoration: none; background: var(--water); color: var(--surface) }
details { border: 1px solid var(--line); border-radius: 4px; background: var(--surface); margin: 0.5rem 0 }
summary { padding: 0.8rem 1rem; font-weight: 700; cursor: pointer }
details > div { padding: 0 1rem 0.5rem } svg { width: 100%; max-width: 20rem; height: auto }
code { display: block; padding: 0.6rem; background: var(--surface); border: 1px solid var(--line); border-radius: 4px; overflow-wrap: anywhere }
p.soft { color: var(--soft) }`;

/** A system’s settings as a drawing of our own: the way down through them, the last one marked. */
function pathDrawing(way: readonly string[]): string {
  const rows = way
    .map((label, place) => {
      const y = 16 + place * 40;
      const last = place === way.length - 1;
      const ink = last ? 'var(--water)' : 'var(--ink)';
      return `<g><rect x="${8 + place * 10}" y="${y}" width="${300 - place * 10}" height="32" rx="4" fill="none" stroke="${ink}" stroke-width="${last ? 2 : 1}"/><text x="${20 + place * 10}" y="${y + 21}" font-size="14" fill="${ink}">${escaped(label)}</text></g>`;
    })
    .join('');
  const height = 24 + way.length * 40;
  return `<svg viewBox="0 0 320 ${height}" role="img" aria-label="${escaped(way.join(', '))}">${rows}</svg>`;
}

function pageFor(agent: string, appAddress: string, fingerprint: string): string {
  const here = SYSTEMS.find(([, form]) => form.test(agent))?.[0];
  const systems = SYSTEMS.map(([system]) => {
    const { name, steps, way } = trustWords.systems[system];
    const list = steps.map((step) => `<li>${escaped(step)}</li>`).join('');
    return `<details${system === here ? ' open' : ''}><summary>${escaped(name)}</summary><div>${pathDrawing(way)}<ol>${list}</ol></div></details>`;
  }).join('');
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escaped(trustWords.title)}</title><style>${STYLE}</style></head><body><main>
<h1>${escaped(trustWords.title)}</h1><p>${escaped(trustWords.why)}</p>
<h2>${escaped(trustWords.fetch)}</h2><a class="go" href="/authority.crt">${escaped(trustWords.fetchIt)}</a>
<h2>${escaped(trustWords.settle)}</h2>${systems}
<h2>${escaped(trustWords.compare)}</h2><p>${escaped(trustWords.compareWhy)}</p><code>${escaped(fingerprint)}</code>
<h2>${escaped(trustWords.open)}</h2><a class="go" href="${escaped(appAddress)}">${escaped(trustWords.openIt)}</a><p class="soft">${escaped(trustWords.openWhy)}</p>
</main></body></html>`;
}

interface Trusted {
  readonly authorityPem: string;
  /** Of the app, by the host the phone has asked for. */
  readonly appAddress: (host: string) => string;
}

/** All that is served without TLS: how to trust the workshop’s computer, and what to trust. */
export function trustPage({ authorityPem, appAddress }: Trusted): Express {
  const fingerprint = fingerprintOf(authorityPem);
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          styleSrc: ["'unsafe-inline'"],
          baseUri: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // They mean nothing without TLS, and browsers complain of them.
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
      strictTransportSecurity: false,
    }),
  );
  app.get('/authority.crt', (_request, response) => {
    response
      .type('application/x-x509-ca-cert')
      .attachment('nucleon-workshop.crt')
      .send(derOf(authorityPem));
  });
  app.get('/{*any}', (request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(
        pageFor(
          request.headers['user-agent'] ?? '',
          appAddress(request.headers.host ?? ''),
          fingerprint,
        ),
      );
  });
  return app;
}
