/** Plan checks: what an experienced coach would question, with reason and fix. */
@NullMarked
package wake.plan.check;

import org.jspecify.annotations.NullMarked;
