/** Speed, measured with JMH and never asserted in tests. Leans on core and simulator. */
package escrel.bench;
