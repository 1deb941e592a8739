-- An entry carries the format of its canonical form, the role its author gave, the zone it was written in and what hangs on it.
-- Those written before are of format 1, which had none of these.
alter table entry add column format int default 1 not null;
alter table entry add column role varchar(80) default '' not null;
alter table entry add column zone varchar(60) default '' not null;
alter table entry add column attachments varchar(4000) default '[]' not null;

-- Photographs, later sounds and traces: bytes under their own hash, with their true type.
create table attachment (
    sha256  char(64) primary key,
    type    varchar(60) not null,
    bytes   blob        not null
);

insert into attachment (sha256, type, bytes) select sha256, type, bytes from photo;

insert into attachment (sha256, type, bytes)
select hash, 'image/jpeg', small
from (
    select lower(rawtohex(hash('SHA-256', small))) as hash, small, row_number() over (partition by hash('SHA-256', small)) as nth
    from photo
)
where nth = 1 and hash not in (select sha256 from attachment);

drop table photo;
