/**
 * What is measured and never asserted in tests: speed with JMH, the accuracy of the analysis against known truth, long and live sound.
 * Leans on core, simulator and the running application.
 */
package escrel.bench;
