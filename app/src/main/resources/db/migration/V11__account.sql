-- What holds for the whole account; one row. Of the limits null means that there is none, or that
-- it is not known.
create table account (
  only_one int default 1 primary key check (only_one = 1),
  -- Empty until somebody says it.
  name varchar(120) not null,
  postal_address varchar(500) not null,
  zone varchar(50) not null,
  -- A language tag (BCP 47) and three letters (ISO 4217).
  language varchar(35) not null,
  currency varchar(3) not null,
  -- Between these nothing is sent, by each person's own time; both or neither.
  quiet_from time,
  quiet_to time,
  monthly_quota bigint,
  segment_price double precision,
  emails_per_week int not null,
  version int default 1 not null
);
insert into account (name, postal_address, zone, language, currency, monthly_quota, segment_price,
  emails_per_week)
select '', '', 'Europe/Berlin', 'en-GB', 'EUR', monthly_quota, segment_price, emails_per_week
from sending_limits;
drop table sending_limits;

-- Who emails come from, in their order; the first unless something else is said.
create table sender (
  place int primary key,
  name varchar(80) not null,
  address varchar(254) not null,
  answers_to varchar(254)
);

-- Whoever has no name comes after all who have one.
update person set name_key = U&'\FFFF' where name_key = '';

-- Which tags and lists somebody had when findings were looked for, as a number.
alter table journey_card add column checked_carried bigint default 0 not null;
