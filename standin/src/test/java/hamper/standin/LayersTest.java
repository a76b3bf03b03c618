package hamper.standin;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** A stand-in proves the plan because it shares nothing with it but the codecs of packets. */
@AnalyzeClasses(packages = "hamper.standin", importOptions = ImportOption.DoNotIncludeTests.class)
class LayersTest {
  @ArchTest
  static final ArchRule CODECS_AND_NOTHING_ELSE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "hamper.value..",
              "hamper.address..",
              "hamper.catalog..",
              "hamper.display..",
              "hamper.resolve..",
              "hamper.config..",
              "hamper.facts..",
              "hamper.send..",
              "hamper.edit..",
              "hamper.check..");
}
