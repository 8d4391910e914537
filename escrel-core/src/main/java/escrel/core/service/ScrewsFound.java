package escrel.core.service;

/** How the screws of a part were found as it came off. */
public enum ScrewsFound {
    AS_ON_SHEET,
    ONE_MISSING,
    ONE_FOREIGN,
    ONE_DAMAGED
}
