-- Where a work came from the scan tray: the scan as it was delivered, and how it was cleaned.
create table scan (
  work_id bigint primary key references work (id) on delete cascade,
  raw_sha256 varchar(64) not null references picture (sha256),
  file_name varchar(255) not null,
  -- Null where neither the file nor the user said.
  pixels_per_inch double precision,
  turn_degrees double precision not null,
  flattened boolean not null,
  whitened boolean not null,
  taken_in_at timestamp with time zone not null
);
