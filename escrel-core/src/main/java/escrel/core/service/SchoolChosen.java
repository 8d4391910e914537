package escrel.core.service;

import escrel.core.school.Choice;

/** For this job a side is taken in a question on which good people differ; the latest counts. */
public record SchoolChosen(Choice choice) implements Step {}
