-- Who made a marking, as they called themselves; empty where nobody said.
alter table marking add column made_by varchar(100) default '' not null;
-- How a study counts figures in heads.
alter table study add column counted varchar(30) default 'straight-from-crown' not null;

-- A figure marked a second time without sight of the first marking.
create table repeat_marking (
  id bigint generated always as identity primary key,
  work_id bigint not null references work (id) on delete cascade,
  first_landmarks jsonb not null,
  second_landmarks jsonb not null,
  saved_at timestamp with time zone not null
);

-- Statements ticked on pictures. The shipped ones and those a user added.
create table statement (
  key varchar(60) primary key,
  part varchar(20) not null,
  -- The stage of drawing at which it must be remembered.
  stage varchar(20) not null,
  text varchar(200) not null,
  own boolean default false not null
);
create table tick (
  work_id bigint not null references work (id) on delete cascade,
  statement_key varchar(60) not null references statement (key) on delete cascade,
  answer varchar(10) not null,
  primary key (work_id, statement_key)
);

-- A reading guessed before it was shown.
create table guess (
  id bigint generated always as identity primary key,
  work_id bigint not null references work (id) on delete cascade,
  measure varchar(60) not null,
  guessed double precision not null,
  read_value double precision not null,
  guessed_at timestamp with time zone not null
);

insert into statement (key, part, stage, text) values
  ('face-sketch-lines', 'face-shape', 'sketch', 'Sketch lines are left visible on the face'),
  ('face-blush-cheeks', 'face-shape', 'flats', 'Blush on the cheeks'),
  ('face-blush-nose', 'face-shape', 'flats', 'Blush on the nose'),
  ('face-texture-skipped', 'face-shape', 'effects', 'Texture is left out on the face'),
  ('eyes-lash-flicks', 'eyes', 'line', 'Lashes end in single flicks'),
  ('eyes-lower-lash', 'eyes', 'line', 'Lower lashes are drawn'),
  ('eyes-lid-crease', 'eyes', 'line', 'The crease of the lid is drawn'),
  ('eyes-catchlight', 'eyes', 'effects', 'A light sits in each iris'),
  ('eyes-white-shaded', 'eyes', 'shade', 'The upper lid throws a shadow on the white'),
  ('brows-over-hair', 'brows', 'line', 'Brows show through the fringe'),
  ('nose-bridge', 'nose', 'line', 'The bridge is drawn'),
  ('nose-nostrils', 'nose', 'line', 'Nostrils are drawn'),
  ('mouth-lips', 'mouth', 'line', 'Lips are drawn with an outline'),
  ('mouth-teeth-single', 'mouth', 'line', 'Single teeth are drawn'),
  ('mouth-open-corners', 'mouth', 'line', 'The mouth line is broken in its middle'),
  ('ears-inner', 'ears', 'line', 'The inner ear is drawn'),
  ('hair-clumps', 'hair', 'sketch', 'Hair falls in clumps'),
  ('hair-strands', 'hair', 'line', 'Single strands break the outline'),
  ('hair-band', 'hair', 'effects', 'A band of light runs round the hair'),
  ('neck-shadow', 'neck', 'shade', 'The chin throws a shadow on the neck'),
  ('hands-nails', 'hands', 'line', 'Fingernails are drawn'),
  ('hands-knuckles', 'hands', 'line', 'Knuckles are drawn'),
  ('body-outline-broken', 'body', 'line', 'The outline is broken in places'),
  ('body-lost-edges', 'body', 'line', 'Outlines are left out on the lit side'),
  ('folds-triangular', 'folds', 'line', 'Folds are triangular'),
  ('folds-tubes', 'folds', 'line', 'Folds run as tubes'),
  ('folds-none', 'folds', 'line', 'No folds'),
  ('shoes-laces', 'shoes', 'line', 'Laces or seams of the shoes are drawn'),
  ('prop-accessories', 'prop', 'sketch', 'Small accessories: buttons, badges, straps'),
  ('background-plain', 'background', 'flats', 'The background is plain'),
  ('background-shape', 'background', 'flats', 'One shape of colour stands behind the figure'),
  ('light-contact-shadow', 'light', 'shade', 'Contact shadows where things touch'),
  ('light-ground-shadow', 'light', 'shade', 'The figure throws a shadow on the ground'),
  ('light-bounce', 'light', 'shade', 'Bounce light on the shaded side'),
  ('light-highlights', 'light', 'effects', 'Highlights on skin');
