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
