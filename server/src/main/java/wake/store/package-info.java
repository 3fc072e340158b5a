/** What is kept: one class per aggregate over jOOQ, tables generated from the migrations. */
@NullMarked
package wake.store;

import org.jspecify.annotations.NullMarked;
