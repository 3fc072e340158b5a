package wake;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.util.Random;
import wake.movement.CatalogueFile;

@AnalyzeClasses(packages = "wake", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule coreKnowsNoFramework = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "org.jooq..", "tools.jackson..", "jakarta..", "java.sql..");

    @ArchTest
    static final ArchRule coreDoesNoInputOrOutput = noClasses()
            .that()
            .doNotBelongToAnyOf(CatalogueFile.class)
            .and()
            .resideOutsideOfPackage("wake.exchange")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.io..", "java.nio.file..", "java.net..");

    /** Readers of text formats work on strings in memory; a file is not theirs to open. */
    @ArchTest
    static final ArchRule exchangeOpensNoFiles = noClasses()
            .that()
            .resideInAPackage("wake.exchange")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.nio.file..", "java.net..")
            .orShould()
            .dependOnClassesThat()
            .haveNameMatching("java[.]io[.](File|RandomAccess).*");

    /** Figures are written alike on every machine. */
    @ArchTest
    static final ArchRule coreSpeaksNoLocaleOfItsOwn = noClasses()
            .should()
            .callMethod(String.class, "formatted", Object[].class)
            .orShould()
            .callMethod(String.class, "format", String.class, Object[].class);

    @ArchTest
    static final ArchRule coreReadsNoClock = noClasses()
            .should()
            .dependOnClassesThat()
            .belongToAnyOf(Clock.class, Random.class)
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .callMethod(Math.class, "random");

    @ArchTest
    static final ArchRule arrowsPointDown = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("units")
            .definedBy("wake.units")
            .layer("statistics")
            .definedBy("wake.statistics")
            .layer("movement")
            .definedBy("wake.movement")
            .layer("workout")
            .definedBy("wake.workout")
            .layer("log")
            .definedBy("wake.log")
            .layer("athlete")
            .definedBy("wake.athlete")
            .layer("strength")
            .definedBy("wake.strength")
            .layer("plan")
            .definedBy("wake.plan..")
            .layer("reading")
            .definedBy("wake.reading..")
            .layer("comparison")
            .definedBy("wake.comparison")
            .layer("field")
            .definedBy("wake.field")
            .layer("projection")
            .definedBy("wake.projection..")
            .layer("history")
            .definedBy("wake.history")
            .layer("trace")
            .definedBy("wake.trace")
            .layer("words")
            .definedBy("wake.words")
            .layer("exchange")
            .definedBy("wake.exchange")
            .layer("simulation")
            .definedBy("wake.simulation")
            .whereLayer("simulation")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("exchange")
            .mayOnlyBeAccessedByLayers("simulation")
            .whereLayer("words")
            .mayOnlyBeAccessedByLayers("exchange")
            .whereLayer("trace")
            .mayOnlyBeAccessedByLayers("words", "exchange", "simulation")
            .whereLayer("history")
            .mayOnlyBeAccessedByLayers("words", "exchange")
            .whereLayer("projection")
            .mayOnlyBeAccessedByLayers("history", "words", "exchange", "simulation")
            .whereLayer("field")
            .mayOnlyBeAccessedByLayers("words", "exchange")
            .whereLayer("comparison")
            .mayOnlyBeAccessedByLayers("words")
            .whereLayer("reading")
            .mayOnlyBeAccessedByLayers(
                    "comparison", "projection", "history", "trace", "words", "exchange", "simulation")
            .whereLayer("plan")
            .mayOnlyBeAccessedByLayers(
                    "reading", "comparison", "projection", "history", "trace", "words", "exchange", "simulation")
            .whereLayer("log")
            .mayOnlyBeAccessedByLayers(
                    "athlete",
                    "plan",
                    "reading",
                    "comparison",
                    "field",
                    "projection",
                    "history",
                    "trace",
                    "words",
                    "exchange",
                    "simulation")
            .whereLayer("strength")
            .mayOnlyBeAccessedByLayers("projection", "history", "words", "exchange")
            .whereLayer("athlete")
            .mayOnlyBeAccessedByLayers("plan", "reading", "projection", "history", "words", "exchange", "simulation");
}
