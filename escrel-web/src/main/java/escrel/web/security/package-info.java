/** Who may reach the application: this machine only, unless a passphrase was set. Headers, form tokens, host check,
 * the limit of every door, and the slowing down of wrong passphrases. */
@NullMarked
package escrel.web.security;

import org.jspecify.annotations.NullMarked;
