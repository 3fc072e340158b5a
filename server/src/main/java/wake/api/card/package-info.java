/** What an athlete is handed: one page as one file. */
@NullMarked
package wake.api.card;

import org.jspecify.annotations.NullMarked;
