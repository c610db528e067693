package app.matsuri.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The floors of the rules: a lower one never knows a higher one. */
@AnalyzeClasses(packages = "app.matsuri.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule FLOORS = Architectures.layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("calendar")
            .definedBy("app.matsuri.core.calendar")
            .layer("session")
            .definedBy("app.matsuri.core.session")
            .layer("plan")
            .definedBy("app.matsuri.core.plan")
            .layer("hours")
            .definedBy("app.matsuri.core.hours")
            .layer("flow")
            .definedBy("app.matsuri.core.flow")
            .layer("schedule")
            .definedBy("app.matsuri.core.schedule")
            .layer("change")
            .definedBy("app.matsuri.core.change..")
            .layer("findings")
            .definedBy("app.matsuri.core.findings")
            .layer("proposal")
            .definedBy("app.matsuri.core.proposal")
            .layer("repace")
            .definedBy("app.matsuri.core.repace")
            .layer("due")
            .definedBy("app.matsuri.core.due")
            .layer("school")
            .definedBy("app.matsuri.core.school")
            .layer("gradebook")
            .definedBy("app.matsuri.core.gradebook")
            .layer("lookback")
            .definedBy("app.matsuri.core.lookback")
            .layer("rollover")
            .definedBy("app.matsuri.core.rollover")
            .layer("shown")
            .definedBy("app.matsuri.core.shown")
            .layer("reminding")
            .definedBy("app.matsuri.core.reminding")
            .layer("runlist")
            .definedBy("app.matsuri.core.runlist")
            .whereLayer("due")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("school")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("hours")
            .mayOnlyBeAccessedByLayers("change", "findings")
            .whereLayer("session")
            .mayOnlyBeAccessedByLayers(
                    "plan",
                    "hours",
                    "flow",
                    "schedule",
                    "change",
                    "findings",
                    "proposal",
                    "repace",
                    "gradebook",
                    "lookback",
                    "rollover",
                    "shown",
                    "reminding",
                    "runlist")
            .whereLayer("plan")
            .mayOnlyBeAccessedByLayers(
                    "due",
                    "hours",
                    "flow",
                    "schedule",
                    "change",
                    "findings",
                    "proposal",
                    "repace",
                    "gradebook",
                    "lookback",
                    "rollover",
                    "shown",
                    "reminding",
                    "runlist")
            .whereLayer("flow")
            .mayOnlyBeAccessedByLayers(
                    "schedule",
                    "change",
                    "findings",
                    "proposal",
                    "repace",
                    "gradebook",
                    "lookback",
                    "rollover",
                    "shown",
                    "reminding",
                    "runlist")
            .whereLayer("schedule")
            .mayOnlyBeAccessedByLayers(
                    "due",
                    "change",
                    "findings",
                    "proposal",
                    "repace",
                    "gradebook",
                    "lookback",
                    "rollover",
                    "shown",
                    "reminding",
                    "runlist")
            .whereLayer("change")
            .mayOnlyBeAccessedByLayers("school", "findings", "proposal", "repace", "rollover")
            .whereLayer("findings")
            .mayOnlyBeAccessedByLayers("proposal")
            .whereLayer("repace")
            .mayOnlyBeAccessedByLayers("rollover")
            .whereLayer("lookback")
            .mayOnlyBeAccessedByLayers("rollover")
            .whereLayer("gradebook")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("rollover")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("shown")
            .mayOnlyBeAccessedByLayers("reminding")
            .whereLayer("reminding")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("runlist")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("proposal")
            .mayNotBeAccessedByAnyLayer();

    @ArchTest
    static final ArchRule KNOWS_ONLY_THE_JDK_TWO_LIBRARIES_AND_WHAT_MAY_BE_NULL = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "app.matsuri.core..", "java..", "org.threeten.extra..", "org.dmfs..", "org.jspecify.annotations..");

    @ArchTest
    static final ArchRule ASKS_NO_CLOCK = noClasses()
            .should()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.LocalDateTime.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now");

    @ArchTest
    static final ArchRule NO_CIRCLES =
            slices().matching("app.matsuri.core.(**)").should().beFreeOfCycles();

    /** Every package says what lives in it and what it may know. */
    @Test
    void everyPackageSaysWhatLivesInIt() throws IOException {
        try (Stream<Path> all = Files.walk(Path.of("src/main/java/app/matsuri/core"))) {
            assertThat(all.filter(file -> file.toString().endsWith(".java"))
                            .map(Path::getParent)
                            .distinct())
                    .isNotEmpty()
                    .allSatisfy(room ->
                            assertThat(room.resolve("package-info.java")).exists());
        }
    }
}
