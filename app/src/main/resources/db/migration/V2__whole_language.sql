alter table message add column channel varchar(10) default 'EMAIL' not null;
alter table message add column voucher boolean default false not null;
alter table message alter column subject varchar(1000);

-- Strands and segments: documents that several journeys refer to.
create table shared_part (
  kind varchar(10) not null,
  name varchar(80) not null,
  document clob not null,
  saved_at timestamp(3) with time zone not null,
  primary key (kind, name)
);

-- The first engine drew its numbers in another way, so its runs cannot be repeated to the same
-- figures, nor compared with new ones. Journeys, messages and assumptions stay.
delete from dry_run;
alter table dry_run alter column messages rename to catalogue;
