-- who is known elsewhere: by whom and as what; and whether the password here is one that nobody knows
alter table account add column openid_issuer varchar(500);
alter table account add column openid_subject varchar(300);
alter table account add column no_password boolean default false not null;
alter table account add constraint account_openid unique (openid_issuer, openid_subject);
