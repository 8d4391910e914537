/**
 * What lies beneath the database: the folder, the journal of changes that is on disk before a page answers, the base it
 * starts from, the first database of a folder, opening and putting right after a crash, migrations on a copy, backup and restore. Knows tables and files,
 * no jobs. Leans on media and disk only.
 */
@NullMarked
package escrel.web.ground;

import org.jspecify.annotations.NullMarked;
