-- What the machine thinks a picture shows before anybody has looked: the newest look of each work.
-- A chance is between 0 and 1; what nothing tells is null.
create table first_sight (
  work_id bigint primary key references work on delete cascade,
  algorithm_version integer not null,
  -- How many marked works of the study it learned from.
  learned_from integer not null,
  view varchar(20),
  view_chance double precision,
  framing varchar(20),
  framing_chance double precision,
  turn varchar(20),
  turn_chance double precision,
  -- The figure's box and each landmark with its place and chance.
  proposal jsonb not null,
  seen_at timestamp with time zone not null,
  check (view in ('front', 'three-quarter', 'side', 'back')),
  check (framing in ('full', 'bust', 'face', 'detail')),
  check (turn in ('left', 'ahead', 'right')),
  check ((view is null) = (view_chance is null)),
  check ((framing is null) = (framing_chance is null)),
  check ((turn is null) = (turn_chance is null))
);

-- When somebody said that what is known of a work is right: rules are made of these alone. What was
-- there before counted without being asked, and goes on to.
alter table work add column looked_at timestamp with time zone;
update work set looked_at = taken_in_at;

/* [jooq ignore start] */
create trigger note_change after insert or update or delete on first_sight
  for each row execute function note_change('work_id');
/* [jooq ignore stop] */
