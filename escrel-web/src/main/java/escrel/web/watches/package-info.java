/** Watches and owners over all jobs: found by a few letters, a watch with its history over the years, spellings merged by hand. */
@NullMarked
package escrel.web.watches;

import org.jspecify.annotations.NullMarked;
