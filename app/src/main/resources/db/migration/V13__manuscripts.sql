-- A message as it is written, part by part. What journeys see of it (channel, headline, links,
-- voucher) is made from it at each save; where it is null it begins with just that.
alter table message add column manuscript clob;
alter table message add column labels varchar(1000) default '[]' not null;
alter table message add column archived_at timestamp(3) with time zone;
-- The starter that it was begun from, whose reasons stand beside its parts.
alter table message add column starter varchar(40);
alter table message_version add column manuscript clob;

-- What a text comes from, and what stands at its end; both may be empty.
alter table account add column text_sender varchar(20) default '' not null;
alter table account add column text_stop varchar(60) default 'Answer STOP to get no more texts' not null;

-- Pictures and files, by the name that messages call them.
create table kept_file (
  id bigint generated always as identity primary key,
  name varchar(80) not null,
  name_key varchar(80) not null,
  type varchar(100) not null,
  bytes bigint not null,
  -- In pixels; null for what is no picture.
  width int,
  height int,
  -- SHA-256, in hexadecimal digits.
  fingerprint varchar(64) not null,
  content blob not null,
  version int not null,
  saved_at timestamp(3) with time zone not null,
  constraint kept_file_name unique (name_key)
);

-- How all messages and pages look; no row as long as nobody said so.
create table house_style (
  only_one int default 1 primary key check (only_one = 1),
  document clob not null,
  version int not null
);

-- What was handed to a mail server. A link of it is told by a token and its place in the list.
create table sent_mail (
  id bigint generated always as identity primary key,
  -- SHA-256 of the token, in hexadecimal digits.
  token_hash varchar(64) not null,
  message_id varchar(40) not null,
  message_version int not null,
  test boolean not null,
  links clob not null,
  sent_at timestamp(3) with time zone not null,
  constraint sent_mail_token unique (token_hash)
);

-- What came to the mailboxes of the stand-in mail server.
create table inbox_mail (
  id bigint generated always as identity primary key,
  address varchar(254) not null,
  address_key varchar(254) not null,
  sender varchar(400) not null,
  subject varchar(1000) not null,
  bytes int not null,
  -- How long it was on its way; null if the mail does not say when it set out.
  millis bigint,
  came_at timestamp(3) with time zone not null,
  content blob not null
);
create index inbox_mail_of on inbox_mail (address_key, id);
