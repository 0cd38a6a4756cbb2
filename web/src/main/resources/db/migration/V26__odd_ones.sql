-- Which figure of a shuffled line-up was taken for the redraw. Beside the study: it makes no rule.
create table odd_one (
  id bigint generated always as identity primary key,
  work_id bigint not null references work (id) on delete cascade,
  picked_id bigint not null references work (id) on delete cascade,
  among integer not null check (among >= 2),
  picked_at timestamp with time zone not null
);
create index odd_one_work on odd_one (work_id);
create index odd_one_picked on odd_one (picked_id);
