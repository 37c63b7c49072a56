package org.opentrellis.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import java.time.Clock;

/** The arrows between the core's packages, each with its reason. */
@AnalyzeClasses(
    packages = "org.opentrellis.core",
    importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule ARROWS =
      Architectures.layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("problem")
          .definedBy("..core.problem..")
          .layer("calendar")
          .definedBy("..core.calendar..")
          .layer("journey")
          .definedBy("..core.journey..")
          .layer("behaviour")
          .definedBy("..core.behaviour..")
          .layer("random")
          .definedBy("..core.random..")
          .layer("stats")
          .definedBy("..core.stats..")
          .layer("machine")
          .definedBy("..core.machine..")
          .layer("dryrun")
          .definedBy("..core.dryrun..")
          .layer("measure")
          .definedBy("..core.measure..")
          .layer("check")
          .definedBy("..core.check..")
          .layer("sentence")
          .definedBy("..core.sentence..")
          .layer("format")
          .definedBy("..core.format..")
          .whereLayer("problem")
          .mayNotAccessAnyLayer()
          .whereLayer("calendar")
          .mayNotAccessAnyLayer()
          .whereLayer("random")
          .mayNotAccessAnyLayer()
          .whereLayer("stats")
          .mayNotAccessAnyLayer()
          .whereLayer("journey")
          .mayOnlyAccessLayers("calendar", "problem")
          .whereLayer("behaviour")
          .mayOnlyAccessLayers("journey")
          .whereLayer("machine")
          .mayOnlyAccessLayers("journey", "calendar")
          .whereLayer("dryrun")
          .mayOnlyAccessLayers("machine", "behaviour", "random", "journey", "stats")
          .whereLayer("measure")
          .mayOnlyAccessLayers("dryrun", "stats", "journey", "machine")
          .whereLayer("sentence")
          .mayOnlyAccessLayers("journey", "calendar", "problem")
          .whereLayer("check")
          .mayOnlyAccessLayers("journey", "calendar", "behaviour", "sentence", "problem")
          .whereLayer("format")
          .mayOnlyAccessLayers("journey", "calendar", "behaviour", "problem")
          .because("a reader who knows a package need only know those that its arrows point to");

  @ArchTest
  static final ArchRule NO_INTERFACE_CODE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework..", "java.sql..", "jakarta..", "java.net..")
          .because("the rules of the job must run and be tested without any interface around them");

  @ArchTest
  static final ArchRule ONE_PARSER =
      noClasses()
          .that()
          .resideOutsideOfPackage("..core.format..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("tools.jackson..", "com.fasterxml..")
          .because("what a file looks like is the format's business alone");

  @ArchTest
  static final ArchRule NO_CLOCK =
      noClasses()
          .should()
          .callMethodWhere(
              com.tngtech.archunit.core.domain.JavaCall.Predicates.target(
                  com.tngtech.archunit.core.domain.properties.HasName.Predicates.name("now")
                      .and(
                          com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With
                              .owner(inJavaTime()))))
          .orShould()
          .dependOnClassesThat()
          .belongToAnyOf(Clock.class, java.util.Random.class)
          .because("time and chance come in as values, so that every run can be repeated");

  private static DescribedPredicate<JavaClass> inJavaTime() {
    return DescribedPredicate.describe(
        "in java.time", type -> type.getPackageName().startsWith("java.time"));
  }
}
