/**
 * Where good people differ: each question with its sides and their reasons, and what a workshop, calibre or job chose.
 * What a choice changes is said where it acts (orders in {@code teardown}, cautions, charts). Leans on nothing.
 */
@NullMarked
package escrel.core.school;

import org.jspecify.annotations.NullMarked;
