-- How much of the character's own shape stays: 100 all, 0 the style's middle, under 0 beyond it.
alter table plan_setting add column keep_figure_percent integer not null default 0
  check (keep_figure_percent between -40 and 100);

-- Acts that the user leaves as the character has them.
create table plan_left (
  study_id bigint not null references study (id) on delete cascade,
  act varchar(160) not null,
  primary key (study_id, act)
);
