/** The application: Spring Boot over the core. */
@NullMarked
package wake;

import org.jspecify.annotations.NullMarked;
