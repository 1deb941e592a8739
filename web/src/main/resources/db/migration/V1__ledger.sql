-- A book is a ledger: a machine's (versions of its description), a survey's, or the house's (its tables). Entries are only ever added.
create table book (
    id         bigint generated always as identity primary key,
    kind       varchar(10)  not null check (kind in ('MACHINE', 'SURVEY', 'HOUSE')),
    machine_id bigint references book (id),
    title      varchar(200) not null,
    opened_at  varchar(30)  not null
);

create table entry (
    book_id    bigint       not null references book (id),
    sequence   int          not null,
    at         varchar(30)  not null,
    author     varchar(80)  not null,
    kind       varchar(30)  not null,
    step       varchar(200) not null,
    payload    clob         not null,
    strikes    int,
    previous   char(64)     not null,
    hash       char(64)     not null,
    -- one key a form: a form posted twice finds its first entry instead of writing a second
    submission varchar(40)  not null,
    primary key (book_id, sequence),
    unique (book_id, submission)
);

create index book_by_machine on book (machine_id);
