-- What the user said of the colours of a plan, by their names: kept as they are, or typed by hand.
create table plan_colour (
  study_id bigint not null references study (id) on delete cascade,
  name varchar(40) not null,
  -- Typed by hand; empty for a colour that was found on the character.
  hex varchar(7),
  kept boolean not null,
  primary key (study_id, name),
  check (hex is not null or kept)
);

-- How a plan is looked at. Beside the study, so that a slider makes no rule anew.
create table plan_setting (
  study_id bigint primary key references study (id) on delete cascade,
  keep_colours_percent integer not null default 100 check (keep_colours_percent between 0 and 100),
  layer_opacity_percent integer not null default 100
    check (layer_opacity_percent between 1 and 100),
  -- Of the canvas, when it is printed.
  pixels_per_inch double precision not null default 300
);
