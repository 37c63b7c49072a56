-- What was done to people in one go, by hand, to many or by a table that was brought in. It is done
-- a piece at a time, each kept together with how far it is; and it can be taken back.
create table act (
  id bigint generated always as identity primary key,
  -- EDIT, MANY or TABLE.
  kind varchar(10) not null,
  -- What it is, in a sentence without its end: Tag "market".
  says varchar(400) not null,
  at bigint not null,
  -- UNDER_WAY, DONE, GOING_BACK or TAKEN_BACK.
  state varchar(12) not null,
  -- How many people or lines it is about, how many of them are done, up to which one.
  size bigint not null,
  done bigint default 0 not null,
  place bigint default 0 not null,
  -- How many people it changed; and how many things stay as they are when it is taken back, since
  -- somebody has changed them meanwhile.
  changed bigint default 0 not null,
  stayed bigint default 0 not null,
  -- Of a table: how many people it added, how many rows were refused.
  added bigint default 0 not null,
  refused bigint default 0 not null,
  -- Of what is done to many: which change, of which name, to which value.
  change varchar(20),
  name_id bigint references registered_name (id),
  given varchar(400)
);

-- Those whom something is done to, as they were found when it began.
create table act_person (
  act_id bigint not null references act (id) on delete cascade,
  person_id bigint not null references person (id) on delete cascade,
  primary key (act_id, person_id)
);
create index act_person_of_person on act_person (person_id);

-- What was different before and after, a thing each.
create table act_change (
  id bigint generated always as identity (cache 100000) primary key,
  act_id bigint not null references act (id) on delete cascade,
  person_id bigint not null references person (id) on delete cascade,
  -- FIRST_NAME, LAST_NAME, PHONE, ZONE, MAILING, LABEL or FIELD.
  what varchar(12) not null,
  -- Of a label or a field.
  name_id bigint references registered_name (id),
  -- A value as text; the state of mailing; a field's with its type in front.
  before_value varchar(400),
  before_how varchar(200),
  before_since bigint,
  before_until bigint,
  after_value varchar(400),
  after_how varchar(200),
  after_since bigint,
  after_until bigint
);
create index act_change_of_act on act_change (act_id, person_id);
create index act_change_of_person on act_change (person_id);

-- The act that it belongs to, if any; acts stay, so nothing has to hold the two together.
alter table person_happening add column act_id bigint;

-- Numbers of people grow as they come, so the newest are those with the highest.
drop index person_by_coming;
drop index person_by_zone;
-- The zones that people live or have lived in.
create table person_zone (zone varchar(50) primary key);
insert into person_zone (zone) select distinct zone from person;

-- Numbers are taken many at a time, since each time costs a write; after a crash some are left out.
alter table person alter column id set cache 100000;
alter table person_happening alter column id set cache 100000;

-- The act that brought somebody, if one did.
alter table person add column added_in bigint;

-- A table that is brought in: the file as long as it is needed, how it is read, what came of it.
create table people_table (
  id bigint generated always as identity primary key,
  act_id bigint references act (id) on delete cascade,
  name varchar(120) not null,
  at bigint not null,
  content blob,
  encoding varchar(20) not null,
  delimiter varchar(1) not null,
  header boolean not null,
  -- What its columns mean, what holds for all its people; JSON.
  terms varchar(60000),
  -- The numbers of those it added lie between these.
  first_added bigint,
  last_added bigint
);

-- Rows that were not taken, as they were, with the reason.
create table refused_row (
  table_id bigint not null references people_table (id) on delete cascade,
  row_number bigint not null,
  line bigint not null,
  why varchar(4000) not null,
  cells clob not null,
  primary key (table_id, row_number)
);

-- Fingerprints of addresses that were forgotten; from them nobody can be found again.
create table forgotten (
  fingerprint varchar(44) primary key,
  at bigint not null
);
-- The key they are made with.
create table fingerprint_key (
  only_one int default 1 primary key check (only_one = 1),
  secret varchar(44) not null
);
