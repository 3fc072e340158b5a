/** The made-up gym the demo starts with. */
@NullMarked
package wake.demo;

import org.jspecify.annotations.NullMarked;
