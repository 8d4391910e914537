package escrel.web.strip;

/** What can be recorded on the strip besides taking off, refitting and photographing. */
enum StripAct {
    NAME_KIND,
    NAME_FREELY,
    RENAME,
    HELD_BY,
    CAME_WITH,
    SCREWS,
    SCREWS_ALSO,
    SCREWS_ARE,
    DESCRIBED,
    ANSWERED,
    STAYS_WITH,
    LEFT_FITTED,
    LEFT_WITH_UNIT,
    LOOSENED,
    TURNED_TO_FREE,
    STATE_SET,
    FOUND_LOOSE,
    LOST,
    FOUND_AGAIN,
    DAMAGED_NOW,
    TAKEN_APART,
    MEASURED,
    FRAGMENT,
    EXPLAINED,
    OBSERVED,
    POWER,
    OPEN_AGAIN,
    INTERVENED
}
