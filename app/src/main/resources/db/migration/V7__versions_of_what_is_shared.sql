-- Results say how exactly a median is known; earlier ones do not, and are worked out anew.
update dry_run set results = null;

-- An email's subject, or the words of a text.
alter table message alter column subject rename to headline;

-- Every save of a message, and of a strand or a segment.
create table message_version (
  message_id varchar(40) not null references message (id),
  version int not null,
  name varchar(80) not null,
  channel varchar(10) not null,
  headline varchar(1000) not null,
  links clob not null,
  voucher boolean not null,
  saved_at timestamp(3) with time zone not null,
  primary key (message_id, version)
);
insert into message_version
select id, version, name, channel, headline, links, voucher, created_at from message;

alter table shared_part add column version int default 1 not null;
create table shared_part_version (
  kind varchar(10) not null,
  name varchar(80) not null,
  version int not null,
  document clob not null,
  saved_at timestamp(3) with time zone not null,
  primary key (kind, name, version),
  foreign key (kind, name) references shared_part (kind, name)
);
insert into shared_part_version select kind, name, version, document, saved_at from shared_part;

alter table sending_limits add column version int default 1 not null;
