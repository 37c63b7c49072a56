-- How much mail is enough for one person, as JSON; nothing if nothing is too much.
create table pressure (
  only_one int default 1 primary key check (only_one = 1),
  document varchar(2000),
  version int not null
);
insert into pressure (document, version) values (null, 1);

-- What is open changes with it, too; such a change (PRESSED) is of no journey.
alter table edition alter column journey_id set null;
alter table edition add column pressure varchar(2000);
