-- Who enters, kept under a name.
create table cohort (
  id bigint generated always as identity primary key,
  name varchar(80) not null unique,
  document clob not null,
  saved_at timestamp(3) with time zone not null
);

-- What the account may send; one row. Null means that there is no limit, or that it is not known.
create table sending_limits (
  monthly_quota bigint,
  segment_price double precision,
  emails_per_week int not null
);
insert into sending_limits (monthly_quota, segment_price, emails_per_week) values (null, null, 4);

-- A run may take several journeys together, so what is a journey's has its own row.
-- goal_met is null without a goal, last_reached (who got the last email) without an email.
create table dry_run_journey (
  run_id bigint not null references dry_run (id) on delete cascade,
  number int not null,
  journey_id bigint not null references journey (id),
  journey_version int not null,
  journey_name varchar(80) not null,
  purpose varchar(20) not null,
  entered bigint not null,
  goal_met bigint,
  last_reached bigint,
  document clob not null,
  behaviour clob not null,
  primary key (run_id, number)
);
insert into dry_run_journey
select id, 0, journey_id, journey_version, journey_name, purpose, entered, goal_met, last_reached,
  document, behaviour
from dry_run;
create index dry_run_journey_of_journey on dry_run_journey (journey_id, run_id);

drop index dry_run_of_journey;
alter table dry_run drop column journey_id;
alter table dry_run drop column journey_version;
alter table dry_run drop column journey_name;
alter table dry_run drop column purpose;
alter table dry_run drop column entered;
alter table dry_run drop column goal_met;
alter table dry_run drop column last_reached;
alter table dry_run drop column document;
alter table dry_run drop column behaviour;

alter table dry_run add column name varchar(80);
alter table dry_run add column pinned boolean default false not null;
-- The version of the engine that drew the people, and who they were; null for earlier runs, whose
-- people came evenly over a week with the groups of their journey's assumptions.
alter table dry_run add column engine int default 2 not null;
alter table dry_run add column cohort clob;
alter table dry_run add column cohort_name varchar(100);

-- Results are worked out anew when they are missing: earlier ones do not say enough.
alter table dry_run alter column results set null;
update dry_run set results = null;

-- What a comparison shows, not its figures: those are read anew each time. A run may have been
-- deleted since, so there is no reference to it.
create table kept_comparison (
  id bigint generated always as identity primary key,
  name varchar(80) not null unique,
  runs varchar(200) not null,
  baseline int not null,
  line_up varchar(20) not null,
  compared varchar(20) not null
);
