import 'reflect-metadata';
import { createHash, webcrypto, X509Certificate } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { AsnConvert } from '@peculiar/asn1-schema';
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';
import type { OwnNames } from './addresses';

/*
 * The workshop’s own certificate authority (RFC 5280): a phone that trusts it trusts this server, and through its name
 * constraints no other site can ever be shown under it, whoever takes its key.
 */

x509.cryptoProvider.set(webcrypto);

const KEY = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 24 * 3600 * 1000;
const AUTHORITY_DAYS = 10 * 365;
/** Phones take none of more than 398 days. */
const SERVER_DAYS = 90;
const RENEWED_DAYS_BEFORE = 30;
/** Clocks differ. */
const EARLIER_MS = DAY_MS;
const NAME_CONSTRAINTS = '2.5.29.30';
const SERVER_AUTH = '1.3.6.1.5.5.7.3.1';

/** Private networks (RFC 1918, 4193), link-local and loopback: what a workshop’s computer is reached by. */
const PRIVATE_NETWORKS = [
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '169.254.0.0/16',
  '127.0.0.0/8',
  'fc00::/7',
  'fe80::/10',
  '::1/128',
];
const LOOPBACK: OwnNames = { addresses: ['127.0.0.1', '::1'], names: ['localhost'] };

export interface Certificate {
  readonly keyPem: string;
  readonly certificatePem: string;
}

/** What a server shows, and what a phone is to trust. */
export interface ServerCertificate extends Certificate {
  readonly authorityPem: string;
}

interface Kept extends Certificate {
  readonly certificate: x509.X509Certificate;
}

/** A pair of files; null where they are not both there and do not belong together. */
async function read(folder: string, name: string): Promise<Kept | null> {
  const [keyPem, certificatePem] = await Promise.all(
    [`${name}.key.pem`, `${name}.crt.pem`].map((file) =>
      readFile(join(folder, file), 'utf8').catch(() => ''),
    ),
  );
  if (!keyPem || !certificatePem) return null;
  return { keyPem, certificatePem, certificate: new x509.X509Certificate(certificatePem) };
}

/** Whole or not at all, the key for its owner’s eyes alone. */
async function keep(folder: string, name: string, made: Certificate): Promise<void> {
  for (const [file, text, mode] of [
    [`${name}.key.pem`, made.keyPem, 0o600],
    [`${name}.crt.pem`, made.certificatePem, 0o644],
  ] as const) {
    const path = join(folder, file);
    await writeFile(`${path}.part`, text, { mode });
    await rename(`${path}.part`, path);
  }
}

const newKeys = () => webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']);
const keyPemOf = async (key: webcrypto.CryptoKey): Promise<string> =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');

/** Lasts from a day ago for so many days. */
const lasting = (now: Date, days: number) => ({
  notBefore: new Date(now.getTime() - EARLIER_MS),
  notAfter: new Date(now.getTime() + days * DAY_MS),
});

function constraintsFor({ addresses, names }: OwnNames): x509.Extension {
  const networks = [
    ...PRIVATE_NETWORKS,
    ...addresses.map((address) => `${address}/${isIP(address) === 6 ? 128 : 32}`),
  ];
  const permitted = [
    ...['localhost', 'local', ...names].map((dNSName) => new GeneralName({ dNSName })),
    ...networks.map((iPAddress) => new GeneralName({ iPAddress })),
  ].map((base) => new GeneralSubtree({ base }));
  const constraints = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) });
  return new x509.Extension(NAME_CONSTRAINTS, true, AsnConvert.serialize(constraints));
}

async function makeAuthority(own: OwnNames, now: Date): Promise<Certificate> {
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    name: `CN=Nucleon workshop ${own.names[0] ?? ''} ${now.getFullYear()}`,
    keys: keys,
    signingAlgorithm: KEY,
    ...lasting(now, AUTHORITY_DAYS),
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(
        x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign,
        true,
      ),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      constraintsFor(own),
    ],
  });
  return {
    keyPem: await keyPemOf(keys.privateKey),
    certificatePem: `${certificate.toString('pem')}\n`,
  };
}

async function makeServer(authority: Kept, own: OwnNames, now: Date): Promise<Certificate> {
  const keys = await newKeys();
  const signingKey = await webcrypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decodeFirst(authority.keyPem),
    KEY,
    false,
    ['sign'],
  );
  const certificate = await x509.X509CertificateGenerator.create({
    subject: `CN=${own.names[0] ?? 'nucleon'}`,
    issuer: authority.certificate.subject,
    publicKey: keys.publicKey,
    signingKey: signingKey,
    signingAlgorithm: KEY,
    ...lasting(now, SERVER_DAYS),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([SERVER_AUTH]),
      new x509.SubjectAlternativeNameExtension([
        ...[...LOOPBACK.names, ...own.names].map((value) => ({ type: 'dns' as const, value })),
        ...[...LOOPBACK.addresses, ...own.addresses].map((value) => ({
          type: 'ip' as const,
          value,
        })),
      ]),
      await x509.AuthorityKeyIdentifierExtension.create(authority.certificate.publicKey),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return {
    keyPem: await keyPemOf(keys.privateKey),
    certificatePem: `${certificate.toString('pem')}\n`,
  };
}

/** Whether a certificate still serves: signed by this authority, for these names, for a while yet. */
function isGood(kept: Kept | null, authority: Kept, own: OwnNames, now: Date): kept is Kept {
  if (!kept) return false;
  const certificate = new X509Certificate(kept.certificatePem);
  return (
    certificate.checkIssued(new X509Certificate(authority.certificatePem)) &&
    kept.certificate.notAfter.getTime() - now.getTime() > RENEWED_DAYS_BEFORE * DAY_MS &&
    own.names.every((name) => certificate.checkHost(name) !== undefined) &&
    own.addresses.every((address) => certificate.checkIP(address) !== undefined)
  );
}

/**
 * The server’s certificate for all it goes by, made or renewed where it is due; the authority is made at the first
 * start and kept.
 */
export async function serverCertificate(
  folder: string,
  own: OwnNames,
  now: Date,
): Promise<ServerCertificate> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  if (!existsSync(join(folder, 'authority.crt.pem')))
    await keep(folder, 'authority', await makeAuthority(own, now));
  const authority = await read(folder, 'authority');
  if (!authority)
    throw new Error(
      `The workshop’s authority in ${folder} has lost its key; put it back from a copy, or remove the folder: a new one is made, and each phone is to trust it anew.`,
    );
  const kept = await read(folder, 'server');
  const good = isGood(kept, authority, own, now) ? kept : await makeServer(authority, own, now);
  if (good !== kept) await keep(folder, 'server', good);
  return {
    keyPem: good.keyPem,
    certificatePem: good.certificatePem,
    authorityPem: authority.certificatePem,
  };
}

/** SHA-256 of a certificate, in pairs, as systems show it. */
export const fingerprintOf = (pem: string): string =>
  (createHash('sha256').update(new X509Certificate(pem).raw).digest('hex').match(/../g) ?? [])
    .join(' ')
    .toUpperCase();

/** The certificate as a phone takes it. */
export const derOf = (pem: string): Buffer => new X509Certificate(pem).raw;
