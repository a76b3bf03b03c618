package hamper.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Packages of the server know each other one way only, and only the store knows the database. */
@AnalyzeClasses(packages = "hamper.server", importOptions = ImportOption.DoNotIncludeTests.class)
class LayersTest {
  @ArchTest
  static final ArchRule ONE_DIRECTION =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("safety")
          .definedBy("hamper.server.safety..")
          .layer("store")
          .definedBy("hamper.server.store..")
          .layer("live")
          .definedBy("hamper.server.live..")
          .layer("output")
          .definedBy("hamper.server.output..")
          .layer("handover")
          .definedBy("hamper.server.handover..")
          .layer("proof")
          .definedBy("hamper.server.proof..")
          .layer("trial")
          .definedBy("hamper.server.trial..")
          .layer("network")
          .definedBy("hamper.server.network..")
          .layer("crew")
          .definedBy("hamper.server.crew..")
          .layer("api")
          .definedBy("hamper.server.api..")
          .layer("cli")
          .definedBy("hamper.server.cli..")
          .whereLayer("safety")
          .mayNotAccessAnyLayer()
          .whereLayer("store")
          .mayNotAccessAnyLayer()
          .whereLayer("live")
          .mayOnlyAccessLayers("store")
          .whereLayer("output")
          .mayOnlyAccessLayers("store", "live")
          .whereLayer("handover")
          .mayOnlyAccessLayers("store", "output")
          .whereLayer("proof")
          .mayOnlyAccessLayers("store", "output")
          .whereLayer("trial")
          .mayOnlyAccessLayers("store", "live", "output", "handover")
          .whereLayer("network")
          .mayOnlyAccessLayers("live", "output", "trial")
          .whereLayer("crew")
          .mayOnlyAccessLayers("safety", "store", "output")
          .whereLayer("api")
          .mayOnlyAccessLayers(
              "safety", "store", "live", "output", "handover", "proof", "trial", "network", "crew")
          .whereLayer("cli")
          .mayOnlyAccessLayers("store", "live", "output", "handover", "proof", "trial", "network");

  @ArchTest
  static final ArchRule NO_CIRCLE =
      slices().matching("hamper.server.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule ONLY_THE_STORE_KNOWS_THE_DATABASE =
      noClasses()
          .that()
          .resideOutsideOfPackage("hamper.server.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.h2..", "java.sql..", "javax.sql..", "org.flywaydb..");
}
