/** The data folder and copies of what is in it: prepared at start, backed up, restored. */
@NullMarked
package wake.store.backups;

import org.jspecify.annotations.NullMarked;
