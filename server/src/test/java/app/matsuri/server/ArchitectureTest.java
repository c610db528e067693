package app.matsuri.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Who may know whom within the server. */
@AnalyzeClasses(packages = "app.matsuri", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule STORAGE_KNOWS_NO_CAPABILITY = noClasses()
            .that()
            .resideInAPackage("app.matsuri.server.storage..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "app.matsuri.server.term..",
                    "app.matsuri.server.change..",
                    "app.matsuri.server.history..",
                    "app.matsuri.server.wall..",
                    "app.matsuri.server.account..",
                    "org.springframework.web..");

    @ArchTest
    static final ArchRule ONE_CLOCK = noClasses()
            .that()
            .doNotHaveFullyQualifiedName("app.matsuri.server.MatsuriApplication")
            .should()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.Clock.class, "systemUTC");

    @ArchTest
    static final ArchRule THE_RULES_KNOW_NO_SERVER = noClasses()
            .that()
            .resideInAnyPackage("app.matsuri.core..", "app.matsuri.exchange..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("app.matsuri.server..", "org.springframework..");

    @ArchTest
    static final ArchRule NO_CIRCLES =
            slices().matching("app.matsuri.server.(**)").should().beFreeOfCycles();

    /** Every package says what lives in it and what it may know. */
    @Test
    void everyPackageSaysWhatLivesInIt() throws IOException {
        try (Stream<Path> all = Files.walk(Path.of("src/main/java/app/matsuri/server"))) {
            assertThat(all.filter(file -> file.toString().endsWith(".java"))
                            .map(Path::getParent)
                            .distinct())
                    .isNotEmpty()
                    .allSatisfy(room ->
                            assertThat(room.resolve("package-info.java")).exists());
        }
    }
}
