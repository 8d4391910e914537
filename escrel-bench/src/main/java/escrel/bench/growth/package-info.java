/** Ten years in one workshop: the same pages at a hundred, a thousand and ten thousand jobs. */
@NullMarked
package escrel.bench.growth;

import org.jspecify.annotations.NullMarked;
