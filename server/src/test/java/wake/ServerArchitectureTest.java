package wake;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;

@AnalyzeClasses(packages = "wake", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerArchitectureTest {
    @ArchTest
    static final ArchRule onlyTheStoreSpeaksSql = noClasses()
            .that()
            .resideOutsideOfPackage("wake.store..")
            .and()
            .doNotHaveSimpleName("Problems")
            .and()
            .doNotHaveSimpleName("Commands")
            .and()
            .doNotHaveSimpleName("WakeApplication")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.jooq..", "java.sql..", "javax.sql..", "wake.store.tables..");

    @ArchTest
    static final ArchRule nothingLeansOnTheApi = noClasses()
            .that()
            .resideInAnyPackage("wake.store..", "wake.media..", "wake.review..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("wake.api..", "wake.demo..");

    @ArchTest
    static final ArchRule theStepsDoNotLeanOnEachOtherInCircles =
            SlicesRuleDefinition.slices().matching("wake.api.(*)..").should().beFreeOfCycles();
}
