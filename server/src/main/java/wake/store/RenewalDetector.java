package wake.store;

import java.util.Set;
import org.springframework.boot.sql.init.dependency.AbstractBeansOfTypeDatabaseInitializerDetector;
import org.springframework.jdbc.datasource.init.DataSourceInitializer;

/** Tells Spring what the database is renewed by, so that whatever uses it waits for that. */
class RenewalDetector extends AbstractBeansOfTypeDatabaseInitializerDetector {
    @Override
    protected Set<Class<?>> getDatabaseInitializerBeanTypes() {
        return Set.of(DataSourceInitializer.class);
    }
}
