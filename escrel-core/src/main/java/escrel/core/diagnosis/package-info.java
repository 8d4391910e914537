/** Why a watch does not run: a short tree of questions, walked with what is known already. */
@NullMarked
package escrel.core.diagnosis;

import org.jspecify.annotations.NullMarked;
