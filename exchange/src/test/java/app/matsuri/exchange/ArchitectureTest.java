package app.matsuri.exchange;

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

/** Files in and out know the rules and format libraries, and no server. */
@AnalyzeClasses(packages = "app.matsuri", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule KNOWS_NO_SERVER = noClasses()
            .that()
            .resideInAPackage("app.matsuri.exchange..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("app.matsuri.server..", "org.springframework..", "jakarta..", "org.hibernate..");

    @ArchTest
    static final ArchRule CORE_KNOWS_NO_FILES = noClasses()
            .that()
            .resideInAPackage("app.matsuri.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("app.matsuri.exchange..", "tools.jackson..");

    @ArchTest
    static final ArchRule NO_CIRCLES =
            slices().matching("app.matsuri.exchange.(**)").should().beFreeOfCycles();

    /** Every package says what lives in it and what it may know. */
    @Test
    void everyPackageSaysWhatLivesInIt() throws IOException {
        try (Stream<Path> all = Files.walk(Path.of("src/main/java/app/matsuri/exchange"))) {
            assertThat(all.filter(file -> file.toString().endsWith(".java"))
                            .map(Path::getParent)
                            .distinct())
                    .isNotEmpty()
                    .allSatisfy(room ->
                            assertThat(room.resolve("package-info.java")).exists());
        }
    }
}
