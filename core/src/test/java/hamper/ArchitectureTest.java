package hamper;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The core knows nothing of frameworks, and its packages know each other one way only. */
@AnalyzeClasses(packages = "hamper", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule CORE_IS_PLAIN_JAVA =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org..",
              "com..",
              "tools..",
              "java.sql..",
              "java.io..",
              "java.nio",
              "java.nio.file..",
              "java.nio.channels..");

  @ArchTest
  static final ArchRule ONE_DIRECTION =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("value")
          .definedBy("hamper.value..")
          .layer("address")
          .definedBy("hamper.address..")
          .layer("catalog")
          .definedBy("hamper.catalog..")
          .layer("display")
          .definedBy("hamper.display..")
          .layer("edit")
          .definedBy("hamper.edit..")
          .layer("resolve")
          .definedBy("hamper.resolve..")
          .layer("load")
          .definedBy("hamper.load..")
          .layer("network")
          .definedBy("hamper.network..")
          .layer("config")
          .definedBy("hamper.config..")
          .layer("sheet")
          .definedBy("hamper.sheet..")
          .layer("still")
          .definedBy("hamper.still..")
          .layer("change")
          .definedBy("hamper.change..")
          .layer("handover")
          .definedBy("hamper.handover..")
          .layer("facts")
          .definedBy("hamper.facts..")
          .layer("check")
          .definedBy("hamper.check..")
          .layer("advise")
          .definedBy("hamper.advise..")
          .layer("wire")
          .definedBy("hamper.wire..")
          .layer("send")
          .definedBy("hamper.send..")
          .layer("listen")
          .definedBy("hamper.listen..")
          .layer("who")
          .definedBy("hamper.who..")
          .layer("arrange")
          .definedBy("hamper.arrange..")
          .whereLayer("arrange")
          .mayOnlyAccessLayers(
              "value", "address", "catalog", "display", "edit", "facts", "check", "load")
          .layer("progress")
          .definedBy("hamper.progress..")
          .whereLayer("progress")
          .mayOnlyAccessLayers("value", "display")
          .layer("paper")
          .definedBy("hamper.paper..")
          .whereLayer("paper")
          .mayOnlyAccessLayers(
              "value",
              "address",
              "catalog",
              "display",
              "resolve",
              "load",
              "config",
              "facts",
              "sheet",
              "check",
              "handover",
              "progress")
          .whereLayer("listen")
          .mayOnlyAccessLayers(
              "value", "address", "display", "resolve", "config", "facts", "wire", "send")
          .whereLayer("who")
          .mayOnlyAccessLayers("address", "catalog", "display")
          .whereLayer("wire")
          .mayNotAccessAnyLayer()
          .whereLayer("send")
          .mayOnlyAccessLayers(
              "value", "address", "catalog", "display", "resolve", "config", "facts", "wire")
          .whereLayer("advise")
          .mayOnlyAccessLayers(
              "value",
              "address",
              "catalog",
              "display",
              "resolve",
              "load",
              "network",
              "config",
              "facts",
              "check",
              "edit",
              "still",
              "change",
              "handover")
          .whereLayer("address")
          .mayOnlyAccessLayers("value")
          .whereLayer("catalog")
          .mayOnlyAccessLayers("value", "address")
          .whereLayer("display")
          .mayOnlyAccessLayers("value", "address", "catalog")
          .whereLayer("edit")
          .mayOnlyAccessLayers("value", "address", "catalog", "display", "resolve")
          .whereLayer("still")
          .mayOnlyAccessLayers("value", "address", "catalog", "display", "edit", "resolve")
          .whereLayer("resolve")
          .mayOnlyAccessLayers("value", "address", "catalog", "display")
          .whereLayer("load")
          .mayOnlyAccessLayers("value", "address", "catalog", "display", "resolve", "wire")
          .whereLayer("network")
          .mayOnlyAccessLayers("address", "catalog", "display", "resolve", "load")
          .whereLayer("config")
          .mayOnlyAccessLayers("value", "address", "catalog", "display", "resolve")
          .whereLayer("sheet")
          .mayOnlyAccessLayers("value", "address", "catalog", "display", "resolve", "config")
          .whereLayer("change")
          .mayOnlyAccessLayers(
              "value", "address", "catalog", "display", "resolve", "config", "sheet")
          .whereLayer("handover")
          .mayOnlyAccessLayers(
              "value", "address", "catalog", "display", "resolve", "config", "facts", "sheet",
              "change", "edit")
          .whereLayer("facts")
          .mayOnlyAccessLayers("display", "resolve", "load", "network", "config")
          .whereLayer("check")
          .mayOnlyAccessLayers(
              "value",
              "address",
              "catalog",
              "display",
              "resolve",
              "load",
              "network",
              "config",
              "facts",
              "change",
              "handover");
}
