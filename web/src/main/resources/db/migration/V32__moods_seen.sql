-- What a look at the face alone says of its mood: word=chance for each, parted by semicolons.
alter table first_sight add column moods text not null default '';
