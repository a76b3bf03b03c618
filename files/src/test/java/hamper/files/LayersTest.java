package hamper.files;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Formats are made of the core, and know nothing of who sends, stores or shows them. */
@AnalyzeClasses(packages = "hamper.files", importOptions = ImportOption.DoNotIncludeTests.class)
class LayersTest {
  @ArchTest
  static final ArchRule FORMATS_STAND_ALONE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "hamper.server..", "hamper.samples..", "org.springframework..", "java.sql..");

  /** Remedies are advice, and no file holds any. */
  @ArchTest
  static final ArchRule FORMATS_GIVE_NO_ADVICE =
      noClasses().should().dependOnClassesThat().resideInAnyPackage("hamper.advise..");
}
