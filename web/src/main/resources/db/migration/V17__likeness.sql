-- What a figure is like, in words of the user's own with commas between; empty where none was said.
alter table work add column likeness varchar(100) not null default '';
