/**
 * The rooms of the web application, one package each, over the shared floors {@code storage}, {@code job}, {@code chart},
 * {@code photos}, {@code
 * format}, {@code plan}, {@code ladder}, {@code trouble} and {@code security}. Rooms do not import rooms. Rules and
 * computation are in escrel-core.
 */
@NullMarked
package escrel.web;

import org.jspecify.annotations.NullMarked;
