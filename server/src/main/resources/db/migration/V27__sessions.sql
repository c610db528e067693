-- where people are signed in, kept over a restart; the tables are those of Spring Session 4
create table signed_in (
  primary_id char(36) not null primary key,
  session_id char(36) not null unique,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval integer not null,
  expiry_time bigint not null,
  principal_name varchar(200)
);
create index signed_in_expiry on signed_in (expiry_time);
create index signed_in_principal on signed_in (principal_name);

create table signed_in_attributes (
  session_primary_id char(36) not null references signed_in (primary_id) on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes binary large object not null,
  primary key (session_primary_id, attribute_name)
);
