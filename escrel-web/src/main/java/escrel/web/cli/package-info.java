/** Commands that do not start the web server: analyse a sound; back up, restore and check a folder. */
@NullMarked
package escrel.web.cli;

import org.jspecify.annotations.NullMarked;
