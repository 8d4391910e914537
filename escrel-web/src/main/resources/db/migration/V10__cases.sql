-- cases by the watch's reference, in versions that never change: jobs point to them by a step
create table case_sheet (
    id        varchar(40)              not null,
    version   int                      not null,
    name      varchar(130)             not null,
    sheet     clob                     not null,
    added_at  timestamp with time zone not null,
    -- 'OURS', or 'WAITING' when it came with a job from elsewhere and nobody accepted it
    standing  varchar(10)              not null,
    primary key (id, version)
);

-- what was wrong with which part of a calibre: a line a part, its code, then its defects
alter table job_learnt add column found varchar(60000) default '' not null;

-- jobs without a line get all that is read of them when Escrel starts
delete from job_learnt;
delete from job_line;
