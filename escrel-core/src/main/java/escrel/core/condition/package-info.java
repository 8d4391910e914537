/**
 * One scale for the state of everything: grades, kinds of defect, where a finding comes from and where within a part it lies. What is decided about a
 * finding is in {@code parts}. Leans on nothing.
 */
@NullMarked
package escrel.core.condition;

import org.jspecify.annotations.NullMarked;
