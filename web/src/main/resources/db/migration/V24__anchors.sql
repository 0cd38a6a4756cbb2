-- A work that the character is carried toward, rather than the middle of all.
alter table plan_setting add column anchor_work_id bigint references work (id) on delete set null;
create index plan_setting_anchor_work on plan_setting (anchor_work_id);

-- What of the character stays whatever the style does, in the user's words.
create table plan_must_keep (
  study_id bigint not null references study (id) on delete cascade,
  words varchar(120) not null,
  primary key (study_id, words)
);
