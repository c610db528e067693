-- who looked at a term that is another's, by day: for its owner
create table term_look (
  term_id bigint not null references term (id),
  account_id bigint not null references account (id),
  on_day date not null,
  first_at timestamp with time zone not null,
  last_at timestamp with time zone not null,
  times integer not null,
  primary key (term_id, account_id, on_day)
);
