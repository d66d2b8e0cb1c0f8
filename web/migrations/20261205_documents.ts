import type { Knex } from 'knex';

/*
 * Channels, plans and units are documents as people and stations are: one shape of a row for everything that has versions. What the
 * database joins, sorts or guards by is a column that it computes from the document (decision 009).
 */

/** Each field of a document with the column it had, and whether that was JSON. */
const CHANNEL = {
  id: 'id',
  groupId: 'group_id',
  name: 'name',
  receiveHz: 'receive_hz',
  transmitHz: 'transmit_hz',
  transmitTone: 'transmit_tone',
  receiveTone: 'receive_tone',
  receivePolicy: 'receive_policy',
  bandwidth: 'bandwidth',
  mode: 'mode',
  service: 'service',
  access: 'access',
  tier: 'tier',
  note: 'note',
  aliases: 'aliases',
  shortNames: 'short_names',
  tonesSecret: 'tones_secret',
  listed: 'listed',
  trunk: 'trunk_network',
  scan: 'scan',
  resumeDelay: 'resume_delay',
};
const PLAN = {
  name: 'name',
  country: 'country',
  receivePolicy: 'receive_policy',
  resumeDelay: 'resume_delay',
  groups: 'groups',
  licensed: 'licensed',
  services: 'services',
  numbering: 'numbering',
  alerts: 'alerts',
  fleet: 'fleet',
  setup: 'setup',
  roleSetup: 'role_setup',
  naming: 'naming',
};
const UNIT = {
  id: 'id',
  descriptionId: 'description_id',
  nickname: 'nickname',
  holder: 'holder',
  personId: 'person_id',
  serial: 'serial',
  firmware: 'firmware',
  pickedTone: 'picked_tone',
};

const built = (fields: Readonly<Record<string, string>>) =>
  `jsonb_build_object(${Object.entries(fields)
    .map(([field, column]) => `'${field}', ${column}`)
    .join(', ')})`;

export async function up(db: Knex): Promise<void> {
  for (const table of ['channel', 'plan', 'unit'])
    await db.raw('alter table ?? add column document jsonb', [table]);
  await db.raw(`update channel set document = ${built(CHANNEL)}`);
  await db.raw(`update plan set document = ${built(PLAN)}`);
  await db.raw(`update unit set document = details || ${built(UNIT)}`);
  for (const [table, fields] of Object.entries({ channel: CHANNEL, plan: PLAN, unit: UNIT })) {
    await db.raw('alter table ?? alter column document set not null', [table]);
    for (const column of Object.values(fields))
      if (column !== 'id') await db.raw('alter table ?? drop column ??', [table, column]);
  }
  await db.raw(`
    alter table unit drop column details;
    alter table channel
      add column name text generated always as (document->>'name') stored,
      add column group_id uuid generated always as ((document->>'groupId')::uuid) stored;
    alter table plan add column name text generated always as (document->>'name') stored;
    alter table unit
      add column description_id text not null generated always as (document->>'descriptionId') stored,
      add column person_id uuid generated always as ((document->>'personId')::uuid) stored references person (id),
      add foreign key (workspace_id, description_id) references description (workspace_id, id);
    alter table description add column deleted_at timestamptz;
    create index on channel (workspace_id);
    create index on unit (workspace_id);
  `);
  await editsUp(db);
}

/** Edits name the whole of what was before and after. */
async function editsUp(db: Knex): Promise<void> {
  await db.raw(`
    update edit set kind = 'plan',
      before = case when before is null or before = 'null' then before else plan.document end,
      after = case when after is null or after = 'null' then after else plan.document end
    from plan where edit.kind = 'planDocument' and plan.id::text = edit.aggregate_id;
    update edit set kind = 'plan' where kind = 'planDocument';
    update edit set before = before->'document', after = after->'document'
    where kind = 'description' and before \\? 'document' and after \\? 'document';
    update edit set before = description.document || before, after = description.document || after
    from description where edit.kind = 'description' and before \\? 'marks' and not before \\? 'format'
      and description.workspace_id = edit.workspace_id and description.id = edit.aggregate_id;
    update edit set after = description.document
    from description where edit.kind = 'description' and (before is null or before = 'null') and not after \\? 'format'
      and description.workspace_id = edit.workspace_id and description.id = edit.aggregate_id;
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    alter table channel drop column name, drop column group_id;
    alter table plan drop column name;
    alter table unit drop column description_id, drop column person_id;
    delete from description where deleted_at is not null;
    alter table description drop column deleted_at;
    drop index channel_workspace_id_idx;
    drop index unit_workspace_id_idx;
  `);
  const json = { channel: ['aliases', 'short_names', 'listed', 'trunk_network'], unit: ['details'] };
  const plan = [
    'groups',
    'licensed',
    'services',
    'numbering',
    'alerts',
    'fleet',
    'setup',
    'role_setup',
    'naming',
  ];
  const typed = (table: string, field: string, column: string): string => {
    const isJson = [...(table === 'plan' ? plan : []), ...(json[table as 'unit'] ?? [])].includes(column);
    if (isJson) return `nullif(document->'${field}', 'null')`;
    if (column.endsWith('_hz')) return `(document->>'${field}')::bigint`;
    if (['group_id', 'person_id'].includes(column)) return `(document->>'${field}')::uuid`;
    return column === 'tones_secret' ? `(document->>'${field}')::boolean` : `document->>'${field}'`;
  };
  const nullable = ['transmit_hz', 'listed', 'trunk_network', 'numbering', 'alerts', 'person_id'];
  const typeOf = (sql: string) => /::(\w+)$/.exec(sql)?.[1] ?? (sql.startsWith('nullif') ? 'jsonb' : 'text');
  for (const [table, fields] of Object.entries({ channel: CHANNEL, plan: PLAN, unit: UNIT })) {
    for (const [field, column] of Object.entries(fields)) {
      if (column === 'id') continue;
      const sql = typed(table, field, column);
      await db.raw(`alter table ${table} add column ${column} ${typeOf(sql)}`);
      await db.raw(`update ${table} set ${column} = ${sql}`);
      if (!nullable.includes(column))
        await db.raw(`alter table ${table} alter column ${column} set not null`);
    }
  }
  const own = Object.keys(UNIT)
    .map((field) => `'${field}'`)
    .join(', ');
  await db.raw(`
    alter table unit add column details jsonb not null default '{}';
    update unit set details = document - array[${own}] || jsonb_build_object('pickedTone', document->'pickedTone');
    alter table unit add foreign key (workspace_id, description_id) references description (workspace_id, id);
    alter table unit add foreign key (person_id) references person (id);
    alter table channel drop column document;
    alter table plan drop column document;
    alter table unit drop column document;
    update edit set kind = 'planDocument' where kind = 'plan' and (before is null or before = 'null' or after is null or after = 'null');
  `);
}
