import type { Knex } from 'knex';

/*
 * Which groups a team's sets carry is said by each plan. A team named groups before, of whichever plan, and nothing was made of it: they go
 * to the plans whose groups they are, and into the edits of those plans, so that these can be undone. History keeps teams as they were; what is read of them leaves out what is no field any more.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    update plan set document = plan.document || jsonb_build_object('carried', jsonb_build_object(
      'kinds', '{}'::jsonb, 'units', '{}'::jsonb, 'teams', said.teams))
    from (
      select p.id, coalesce(jsonb_object_agg(t.id, t.ids), '{}'::jsonb) as teams
      from plan p join (
        select q.id as plan_id, team.id, jsonb_agg(named.value order by named.value) as ids
        from plan q
        join team on team.workspace_id = q.workspace_id and team.deleted_at is null
        cross join lateral jsonb_array_elements(coalesce(team.document->'groupIds', '[]'::jsonb)) as named(value)
        where exists (
          select 1 from jsonb_array_elements(q.document->'groups') as g(value) where g.value->'id' = named.value
        )
        group by q.id, team.id
      ) t on t.plan_id = p.id
      group by p.id
    ) said
    where said.id = plan.id;
    update edit set
      before = case when jsonb_typeof(before) = 'object' then before || said.carried else before end,
      after = case when jsonb_typeof(after) = 'object' then after || said.carried else after end
    from (
      select id, jsonb_build_object('carried', document->'carried') as carried from plan where document \\? 'carried'
    ) said
    where edit.kind = 'plan' and edit.aggregate_id = said.id::text;
    update team set document = document - 'groupIds';
    update edit set
      before = case when jsonb_typeof(before) = 'object' then before - 'groupIds' else before end,
      after = case when jsonb_typeof(after) = 'object' then after - 'groupIds' else after end
    where kind = 'team';
  `);
}

export async function down(db: Knex): Promise<void> {
  await db.raw(`
    update team set document = document || jsonb_build_object('groupIds', coalesce((
      select jsonb_agg(distinct named.value) from plan
      cross join lateral jsonb_array_elements(plan.document->'carried'->'teams'->(team.id::text)) as named(value)
      where plan.workspace_id = team.workspace_id
    ), '[]'::jsonb));
    update plan set document = document - 'carried';
    update edit set
      before = case when jsonb_typeof(before) = 'object' then before - 'carried' else before end,
      after = case when jsonb_typeof(after) = 'object' then after - 'carried' else after end
    where kind = 'plan';
    update edit set before = case when jsonb_typeof(before) = 'object' then before || '{"groupIds": []}' else before end,
      after = case when jsonb_typeof(after) = 'object' then after || '{"groupIds": []}' else after end
    where kind = 'team';
  `);
}
