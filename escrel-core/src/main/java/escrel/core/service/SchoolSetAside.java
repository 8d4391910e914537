package escrel.core.service;

import escrel.core.school.School;

/** For this job one habit says nothing: the restorer goes another way and need not be asked again. */
public record SchoolSetAside(School school) implements Step {}
