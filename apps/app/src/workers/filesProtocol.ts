import type { Bit } from '@nucleon/core/documents/kit';
import type { RunRecord } from '@nucleon/core/run/runRecord';
import type { UnitSystem } from '@nucleon/core/units/unitSystem';
import type { BitsCsvOutcome } from '@nucleon/files/bitsCsv';
import type { JobOnPaper } from '@nucleon/files/jobPack';
import type { ReadOutcome } from '@nucleon/files/drawnFile';
import type { RunsCsvOutcome } from '@nucleon/files/runsCsv';
import type { Sheet } from '@nucleon/files/sheet';
import type { PaperId } from '@nucleon/files/tiles';

export type DrawnFormat = 'pdf' | 'dxf' | 'svg';

/** What the files worker is asked, one at a time. */
export type FilesRequest =
  | { readonly kind: 'read'; readonly bytes: Uint8Array; readonly name: string }
  | {
      readonly kind: 'read-bits';
      readonly bytes: Uint8Array;
      readonly name: string;
      readonly owned: readonly Pick<Bit, 'name' | 'family' | 'diameterMm'>[];
    }
  | { readonly kind: 'write-bits'; readonly bits: readonly Bit[] }
  | {
      readonly kind: 'write-pack';
      readonly job: JobOnPaper;
      readonly paper: PaperId;
      readonly units: UnitSystem;
      /** The cards alone, without lists and templates. */
      readonly cardsOnly: boolean;
    }
  | { readonly kind: 'write-runs'; readonly runs: readonly RunRecord[] }
  | { readonly kind: 'read-runs'; readonly bytes: Uint8Array; readonly name: string }
  | {
      readonly kind: 'write';
      readonly format: DrawnFormat;
      readonly sheet: Sheet;
      readonly paper: PaperId;
      readonly mirrored: boolean;
      readonly units: UnitSystem;
    };

export type FilesReply =
  | { readonly kind: 'read'; readonly outcome: ReadOutcome }
  | { readonly kind: 'bits'; readonly outcome: BitsCsvOutcome }
  | { readonly kind: 'runs'; readonly outcome: RunsCsvOutcome }
  | { readonly kind: 'page'; readonly done: number; readonly of: number }
  | { readonly kind: 'written'; readonly bytes: Uint8Array; readonly mime: string }
  | { readonly kind: 'refused'; readonly message: string };
