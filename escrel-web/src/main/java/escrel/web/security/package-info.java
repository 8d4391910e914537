/** Who may reach the application: this machine only, unless a passphrase was set. Headers, CSRF, host check. */
@NullMarked
package escrel.web.security;

import org.jspecify.annotations.NullMarked;
