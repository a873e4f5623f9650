import type { Gate } from '../../documents/gate';
import type { HazardCode } from '../../setup/hazards/judgeHazards';
import {
  READY_SECTIONS,
  readyCheck,
  type ReadyItem,
  type ReadyScene,
  type ReadySection,
} from './readyCheck';

/** Where each gate stands on the list. */
const SECTION_OF: { readonly [Code in HazardCode]: ReadySection } = {
  'strengthened-glass': 'piece',
  'wired-or-sealed-glass': 'piece',
  'unknown-treatment': 'piece',
  'hollow-glass': 'piece',
  'laminated-glass': 'piece',
  'built-in-stress': 'piece',
  'hidden-services': 'piece',
  'service-clash': 'piece',
  'post-tension': 'piece',
  structure: 'piece',
  'asbestos-era': 'piece',
  'lead-glaze': 'piece',
  'dry-glass': 'water',
  overspeed: 'machine',
  dust: 'you',
  'fibrous-stone': 'water',
  hammer: 'machine',
  kickback: 'machine',
  'vacuum-stand': 'machine',
  'mains-and-water': 'machine',
  'falling-core': 'piece',
  'two-people': 'you',
  height: 'you',
  eyes: 'you',
  slurry: 'water',
  noise: 'you',
  'glass-handling': 'piece',
  'hot-piece': 'piece',
};

const TITLES: Readonly<Record<ReadySection, string>> = {
  piece: 'The piece',
  mark: 'The mark',
  kit: 'Bit and kit',
  machine: 'The machine',
  water: 'Water',
  you: 'You',
};

/** One part of the list: what is to be answered, what is to be ticked and what is to be known. */
export interface ReadyPart {
  readonly section: ReadySection;
  readonly title: string;
  /** Confirms, open or settled, and stops that are settled; open stops stand before the whole list. */
  readonly gates: readonly Gate[];
  readonly items: readonly ReadyItem[];
  readonly notes: readonly Gate[];
}

/** All that is to be seen to before the motor starts, each thing asked once. */
export function readyList(scene: ReadyScene): readonly ReadyPart[] {
  const { gates, settledGates } = scene.plan;
  const items = readyCheck(scene);
  const sectionOf = ({ code }: Gate): ReadySection => SECTION_OF[code as HazardCode];
  const notes = gates.filter(({ level }) => level === 'note');
  // In one order whether open or settled, so that a tick does not move its line.
  const asked = [...gates.filter(({ level }) => level === 'confirm'), ...settledGates].sort(
    (a, b) => ORDER.indexOf(a.code) - ORDER.indexOf(b.code),
  );
  return READY_SECTIONS.map((section) => ({
    section,
    title: TITLES[section],
    gates: asked.filter((gate) => sectionOf(gate) === section),
    items: items.filter((item) => item.section === section),
    notes: notes.filter((gate) => sectionOf(gate) === section),
  })).filter((part) => part.gates.length + part.items.length + part.notes.length > 0);
}

const ORDER: readonly string[] = Object.keys(SECTION_OF);
