-- The shelf's lines are asked for by the page: what they are sorted and filtered by has columns of its own. All of it is derived from the
-- books and made anew wherever it does not rest on their last entries; nothing is lost with this table.
drop table shelf_line;

create table shelf_line (
    machine_id bigint primary key,
    rests_on   varchar(300)     not null,
    name       varchar(200)     not null,
    family     varchar(30)      not null,
    place      varchar(200)     not null,
    words      varchar(2000)    not null,
    surveyed   boolean          not null,
    away       boolean          not null,
    known      double precision not null,
    run_share  double precision not null,
    put_right  double precision not null,
    untested   double precision not null,
    offered    double precision not null,
    worst      int              not null
);

-- What is shown stands apart, so that finding and sorting go through short rows only.
create table shelf_shown (
    machine_id bigint primary key,
    line       clob not null
);

create index shelf_by_known on shelf_line (away, known desc, run_share desc, name, machine_id);
