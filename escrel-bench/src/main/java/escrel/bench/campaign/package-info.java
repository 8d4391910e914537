/**
 * Campaigns against the application as a whole: killed, without power, and fed with what nobody should send. Seeded; they
 * run for minutes and stand in no test run.
 */
@NullMarked
package escrel.bench.campaign;

import org.jspecify.annotations.NullMarked;
