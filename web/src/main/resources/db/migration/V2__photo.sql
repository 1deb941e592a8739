-- A photograph as it is kept: made afresh from what was sent, so that nothing of where and with what it was taken is left.
-- The ledger names it by the hash of its bytes; like an entry it is only ever added.
create table photo (
    sha256  char(64) primary key,
    type    varchar(20)  not null check (type in ('image/jpeg', 'image/png')),
    bytes   blob         not null,
    small   blob         not null
);
