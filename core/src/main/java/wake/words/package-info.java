/** What was worked out, in sentences: headlines, findings, changes, notes. Nothing is worked out here, and nothing reads these back. */
@NullMarked
package wake.words;

import org.jspecify.annotations.NullMarked;
