/** An attempt in open formats: captions, sheets, pictures. */
@NullMarked
package wake.api.files;

import org.jspecify.annotations.NullMarked;
