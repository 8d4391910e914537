/**
 * The accounts that must balance before a watch leaves. Each concept counts its own open items; here they are laid side
 * by side with what was waived, item by item and with a reason, and the stages a job goes through are named. Leans on
 * service and, for the habits a watch leaves under, on school.
 */
@NullMarked
package escrel.core.handover;

import org.jspecify.annotations.NullMarked;
