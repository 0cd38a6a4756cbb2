-- The boxes of figures that stand free of each other, left,top,right,bottom in pixels of the
-- picture, parted by semicolons; empty where there is one.
alter table first_sight add column figures varchar(2000) not null default '';
