import type { QueryRunner } from 'typeorm';
import { StepMigration, type Statement } from '../stepMigration';

type Kind = 'plain' | 'json' | 'yesNo';
type Columns = Readonly<Record<string, readonly [field: string, kind?: Kind]>>;
type Row = Record<string, unknown>;
type Fields = Record<string, unknown>;

/** What each table’s columns held, as they stood before this step. */
const COLUMNS = {
  job: { name: ['name'], notes: ['notes'], checks: ['checks', 'json'] },
  piece: {
    name: ['name'],
    form: ['form'],
    material: ['material'],
    thickness_mm: ['thicknessMm'],
    outline: ['outline', 'json'],
    glass_treatment: ['glassTreatment'],
    assembled: ['assembled', 'yesNo'],
    value_money: ['valueMoney'],
    layers: ['layers', 'json'],
    checks: ['checks', 'json'],
    thickness_readings_mm: ['thicknessReadingsMm', 'json'],
    damage: ['damage'],
    spare_available: ['spareAvailable', 'yesNo'],
    year_made: ['yearMade'],
    practice: ['practice', 'yesNo'],
    could_be: ['couldBe', 'json'],
    knowing: ['knowing', 'json'],
    keep_off: ['keepOff', 'json'],
    services: ['services', 'json'],
    datum: ['datum', 'json'],
    photo: ['photo', 'json'],
  },
  hole: {
    label: ['label'],
    x_mm: ['xMm'],
    y_mm: ['yMm'],
    face: ['face'],
    diameter_mm: ['diameterMm'],
    depth: ['depth', 'json'],
    fall: ['fall', 'json'],
    purpose: ['purpose', 'json'],
    checks: ['checks', 'json'],
    mark: ['mark', 'json'],
    setup: ['setup', 'json'],
  },
  bit: {
    name: ['name'],
    family: ['family'],
    diameter_mm: ['diameterMm'],
    rim_width_mm: ['rimWidthMm'],
    coverage: ['coverage'],
    usable_depth_mm: ['usableDepthMm'],
    sharpness: ['sharpness'],
    run_out_mm: ['runOutMm'],
    depth_cut_mm: ['depthCutMm'],
    holes_cut: ['holesCut'],
    price: ['price'],
    max_rpm: ['maxRpm'],
    supplier: ['supplier'],
    batch: ['batch'],
    state: ['state'],
    slotted: ['slotted', 'yesNo'],
    barrel_diameter_mm: ['barrelDiameterMm'],
    shank: ['shank', 'json'],
    sharpness_log: ['sharpnessLog', 'json'],
    retired: ['retired', 'yesNo'],
  },
  machine: {
    name: ['name'],
    kind: ['kind'],
    speeds: ['speeds', 'json'],
    stall_torque_nm: ['stallTorqueNm'],
    power: ['power'],
    holders: ['holders', 'json'],
    water_rated: ['waterRated', 'yesNo'],
    spindle_water: ['spindleWater', 'yesNo'],
    retired: ['retired', 'yesNo'],
  },
  kit_part: { name: ['name'] },
  house: {
    edge: ['edge', 'json'],
    school: ['school'],
    habits: ['habits', 'json'],
    hour_money: ['hourMoney'],
  },
} as const satisfies Record<string, Columns>;
type Table = keyof typeof COLUMNS;
const TABLES = Object.keys(COLUMNS) as readonly Table[];

/** Columns that stay, because rows are searched, ordered or joined by them. */
const KEPT: Readonly<Record<Table, readonly string[]>> = {
  job: ['name'],
  piece: ['name', 'material'],
  hole: [],
  bit: ['name', 'diameter_mm'],
  machine: ['name'],
  kit_part: ['name'],
  house: [],
};
const ALSO_DROPPED: Partial<Record<Table, readonly string[]>> = {
  job: ['custom_materials', 'file_extra'],
  machine: ['clutch', 'room'],
  kit_part: ['content'],
};

const parsed = (value: unknown): unknown =>
  typeof value === 'string' ? (JSON.parse(value) as unknown) : value;

const valueOf = (value: unknown, kind: Kind): unknown =>
  kind === 'json' ? parsed(value) : kind === 'yesNo' ? value === 1 || value === true : value;

/** A row’s columns as fields, after those of its file that had no column; empty ones are left out. */
function fieldsOf(table: Table, row: Row): Fields {
  const own = Object.entries(COLUMNS[table] as Columns).flatMap(([column, [field, kind]]) =>
    row[column] === null ? [] : [[field, valueOf(row[column], kind ?? 'plain')]],
  );
  return { ...(parsed(row.extra) as Fields), ...(Object.fromEntries(own) as Fields) };
}

function documentOf(table: Table, row: Row): Fields {
  const fields = fieldsOf(table, row);
  switch (table) {
    case 'job':
      return {
        ...(parsed(row.file_extra) as Fields),
        job: fields,
        ...(row.custom_materials === null ? {} : { customMaterials: parsed(row.custom_materials) }),
      };
    case 'machine':
      return {
        ...fields,
        ...(parsed(row.room ?? {}) as Fields),
        // No clutch is a value of its own.
        ...(row.clutch === null
          ? {}
          : { clutchTorqueNm: (parsed(row.clutch) as { torqueNm: unknown }).torqueNm }),
      };
    case 'kit_part':
      return { ...fields, ...(parsed(row.content) as Fields) };
    default:
      return fields;
  }
}

const AT_ONCE = 200;

/** Writes the document of each row that has none; rows done before it was killed are passed over. */
const fill =
  (table: Table): Statement =>
  async (runner: QueryRunner) => {
    for (;;) {
      const rows = (await runner.query(
        `SELECT * FROM ${table} WHERE document IS NULL LIMIT ${AT_ONCE}`,
      )) as Row[];
      if (rows.length === 0) return;
      for (const row of rows)
        await runner.query(`UPDATE ${table} SET document = ? WHERE id = ?`, [
          JSON.stringify(documentOf(table, row)),
          row.id,
        ]);
    }
  };

const drop = (table: Table): Statement => {
  const columns = [...Object.keys(COLUMNS[table]), ...(ALSO_DROPPED[table] ?? []), 'extra'].filter(
    (column) => !KEPT[table].includes(column),
  );
  const drops = columns.map((column) => `DROP COLUMN IF EXISTS ${column}`).join(', ');
  return `ALTER TABLE ${table} MODIFY COLUMN document JSON NOT NULL, ${drops}`;
};

/**
 * Every versioned thing becomes one JSON document beside its id, parent, version and times. Nothing old is
 * taken away before every document is written.
 */
export class Documents1764600000000 extends StepMigration {
  readonly name = 'Documents1764600000000';
  protected readonly steps: readonly Statement[] = [
    ...TABLES.map(
      (table) => `ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS document JSON NULL AFTER version`,
    ),
    ...TABLES.map(fill),
    ...TABLES.map(drop),
    'ALTER TABLE workshop ADD COLUMN IF NOT EXISTS kit_version INT NOT NULL DEFAULT 0',
    // Plans are made anew when they are read, and name what they were made from.
    'DELETE FROM hole_plan',
    `ALTER TABLE hole_plan ADD COLUMN IF NOT EXISTS made_from VARCHAR(160) NOT NULL DEFAULT '' AFTER hole_id,
       DROP COLUMN IF EXISTS model_version, DROP COLUMN IF EXISTS data_version, DROP COLUMN IF EXISTS computed_at`,
  ];
  protected readonly back = null;
}
