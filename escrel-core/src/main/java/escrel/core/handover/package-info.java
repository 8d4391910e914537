/**
 * The accounts that must balance before a watch leaves: homes, screws, lubrication, findings, interim parts, visits; and
 * the stage a job is at. Leans on everything it counts: teardown, parts, lubrication, assembly, timing.
 */
@NullMarked
package escrel.core.handover;

import org.jspecify.annotations.NullMarked;
