-- a second factor by time-based codes: its key, one that is not confirmed yet, and the last half minute of which a code was taken
alter table account add column factor_key varchar(100);
alter table account add column factor_begun varchar(100);
alter table account add column factor_step bigint default 0 not null;

create table recovery_code (
  account_id bigint not null references account (id),
  hash varchar(64) not null,
  primary key (account_id, hash)
);

-- letters with which a forgotten password is replaced; of each only the hash of what its address ends with
create table password_reset (
  hash varchar(64) not null primary key,
  account_id bigint not null references account (id),
  made_at timestamp with time zone not null
);
