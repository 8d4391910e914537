-- where the database stands in the journal of changes
create table ground (
    one      int      not null primary key check (one = 1),
    position bigint   not null,
    hash     char(64) not null
);
insert into ground (one, position, hash) values (1, 0, repeat('0', 64));

-- numbers that were given out, so that none is given twice: the scope is what is numbered, and within what
create table counter (
    scope varchar(80) not null primary key,
    last  int         not null
);
insert into counter (scope, last) select 'job', coalesce(max(number), 0) from job;
insert into counter (scope, last) select 'act', coalesce(max(sequence), 0) from workshop_act;
insert into counter (scope, last) select 'photo ' || job, max(number) from photo group by job;
insert into counter (scope, last) select 'recording ' || job, max(number) from recording group by job;
insert into counter (scope, last) select 'sheet ' || calibre, max(version) from calibre_sheet group by calibre;
insert into counter (scope, last) select 'picture ' || calibre, max(number) from sheet_picture group by calibre;
insert into counter (scope, last) select 'document ' || calibre, max(number) from sheet_document group by calibre;

-- what a job is called wherever its file goes; the number is only its number here
alter table job add column identity varchar(36) default cast(random_uuid() as varchar(36)) not null;
alter table job alter column identity drop default;
alter table job add constraint job_identity unique (identity);

-- how this workshop wants things; 'kind' says whether it is a demo
create table setting (
    name  varchar(80)  not null primary key,
    given varchar(400) not null
);

-- in the row, so that no large object is held while a page reads steps
alter table step alter column body varchar(1000000) not null;
alter table workshop_act alter column body varchar(1000000) not null;

-- a sheet that came with a job from elsewhere waits, until it is accepted as this workshop's own
alter table calibre_sheet add column standing varchar(10) default 'OURS' not null;
