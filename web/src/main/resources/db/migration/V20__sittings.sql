-- One drawing from its first line on: what was ticked and what was put off. Older ones are kept.
create table sitting (
  id bigint generated always as identity primary key,
  study_id bigint not null references study (id) on delete cascade,
  begun_at timestamp with time zone not null,
  -- What is drawn at the moment.
  stage varchar(20) not null,
  part varchar(20) not null
);
create index sitting_study on sitting (study_id, id);

create table sitting_tick (
  sitting_id bigint not null references sitting (id) on delete cascade,
  key varchar(160) not null,
  ticked boolean not null,
  -- When a hand did it, by its own clock: what waited for the network must not undo what came later.
  ticked_at timestamp with time zone not null,
  primary key (sitting_id, key)
);

-- Notes and things for later; they stay until they are done, over all drawings of a study.
create table draw_note (
  id bigint generated always as identity primary key,
  study_id bigint not null references study (id) on delete cascade,
  -- Made where it was written, so that what is sent twice is one note.
  sent_as varchar(40) not null,
  -- The stage in which it comes back; empty for a note that asks for nothing.
  stage varchar(20),
  text varchar(300) not null,
  done_at timestamp with time zone,
  written_at timestamp with time zone not null,
  unique (study_id, sent_as)
);
