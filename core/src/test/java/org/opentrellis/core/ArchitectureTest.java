package org.opentrellis.core;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaAccess;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Clock;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** The arrows between the core's packages, each with its reason. */
class ArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.opentrellis.core");

  /** What each package may know, besides itself. */
  private static final Map<String, Set<String>> ARROWS =
      Map.ofEntries(
          Map.entry("problem", Set.of()),
          Map.entry("calendar", Set.of("problem")),
          Map.entry("random", Set.of()),
          Map.entry("stats", Set.of()),
          Map.entry("journey", Set.of("calendar", "problem")),
          Map.entry("behaviour", Set.of("journey", "problem")),
          Map.entry("machine", Set.of("journey", "calendar")),
          // stats for its accumulators only: tallies hold them, so that they stay mergeable
          Map.entry(
              "dryrun",
              Set.of("machine", "behaviour", "random", "journey", "calendar", "stats", "problem")),
          Map.entry("walk", Set.of("machine")),
          Map.entry("happening", Set.of("journey", "problem")),
          Map.entry("replay", Set.of("machine", "happening", "journey", "calendar")),
          Map.entry(
              "story",
              Set.of("walk", "machine", "sentence", "journey", "calendar", "live", "happening")),
          Map.entry("measure", Set.of("dryrun", "stats", "journey", "machine")),
          Map.entry(
              "report",
              Set.of(
                  "account",
                  "measure",
                  "dryrun",
                  "machine",
                  "walk",
                  "sentence",
                  "journey",
                  "behaviour",
                  "problem",
                  "stats")),
          Map.entry(
              "compare", Set.of("measure", "dryrun", "machine", "stats", "journey", "problem")),
          // arrange for what a step taken out or moved leaves without an answer, and further tries
          Map.entry(
              "search",
              Set.of(
                  "vary",
                  "dryrun",
                  "measure",
                  "stats",
                  "random",
                  "arrange",
                  "sentence",
                  "behaviour",
                  "journey",
                  "calendar",
                  "problem")),
          Map.entry(
              "vary",
              Set.of("measure", "dryrun", "behaviour", "journey", "calendar", "sentence", "stats")),
          Map.entry(
              "elsewhere", Set.of("format", "search", "vary", "dryrun", "behaviour", "journey")),
          Map.entry("calibrate", Set.of("behaviour", "stats", "journey", "problem")),
          Map.entry(
              "export",
              Set.of(
                  "intake",
                  "dryrun",
                  "machine",
                  "walk",
                  "journey",
                  "measure",
                  "sentence",
                  "report",
                  "compare")),
          Map.entry("pressure", Set.of("dryrun", "machine", "behaviour", "journey", "stats")),
          Map.entry("health", Set.of("stats")),
          Map.entry("people", Set.of("journey", "problem")),
          Map.entry("message", Set.of("account", "journey", "problem")),
          Map.entry("proofreading", Set.of("message", "account", "journey", "problem")),
          Map.entry("entrance", Set.of("people", "message", "sentence", "journey", "problem")),
          Map.entry(
              "newsletter",
              Set.of("account", "message", "sentence", "journey", "calendar", "stats", "problem")),
          Map.entry("news", Set.of("newsletter", "message", "sentence", "journey", "problem")),
          Map.entry(
              "rule",
              Set.of(
                  "reading",
                  "sentence",
                  "replay",
                  "machine",
                  "happening",
                  "journey",
                  "calendar",
                  "problem")),
          Map.entry("account", Set.of("people", "journey", "problem")),
          Map.entry("intake", Set.of("people", "journey", "problem")),
          Map.entry("sentence", Set.of("journey", "calendar", "message")),
          Map.entry("arrange", Set.of("journey", "calendar", "sentence", "problem")),
          Map.entry("reading", Set.of("journey", "calendar", "sentence", "problem", "message")),
          Map.entry("check", Set.of("journey", "calendar", "behaviour", "sentence", "problem")),
          Map.entry(
              "lived",
              Set.of(
                  "report",
                  "live",
                  "dryrun",
                  "walk",
                  "machine",
                  "journey",
                  "calendar",
                  "calibrate")),
          Map.entry("ahead", Set.of("dryrun", "machine", "journey", "account", "stats")),
          Map.entry("forecast", Set.of("dryrun", "measure", "machine", "journey", "stats")),
          Map.entry(
              "crowd", Set.of("dryrun", "walk", "machine", "happening", "behaviour", "journey")),
          Map.entry(
              "live", Set.of("replay", "machine", "happening", "journey", "calendar", "random")),
          Map.entry(
              "format",
              Set.of(
                  "search",
                  "journey",
                  "calendar",
                  "behaviour",
                  "problem",
                  "calibrate",
                  "message",
                  "entrance",
                  "newsletter",
                  "news",
                  "happening",
                  "machine")));

  @TestFactory
  java.util.stream.Stream<DynamicTest> packagesKnowOnlyWhatTheirArrowsPointTo() {
    return ARROWS.keySet().stream()
        .sorted()
        .map(name -> DynamicTest.dynamicTest(name, () -> knowsOnly(name, ARROWS.get(name))));
  }

  private static void knowsOnly(String name, Set<String> allowed) {
    String[] forbidden =
        ARROWS.keySet().stream()
            .filter(other -> !other.equals(name) && !allowed.contains(other))
            .map(other -> "..core." + other + "..")
            .toArray(String[]::new);
    noClasses()
        .that()
        .resideInAPackage("..core." + name + "..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(forbidden)
        .because("a reader who knows a package need only know those that its arrows point to")
        .check(CORE);
  }

  @Test
  void everyPackageHasItsArrows() {
    assertThat(
            CORE.stream().map(type -> type.getPackageName().replace("org.opentrellis.core.", "")))
        .allMatch(ARROWS::containsKey);
  }

  /** What a user gets wrong has a type of its own; an illegal argument is a fault of ours. */
  @Test
  void whatAUserGetsWrongIsRefused() {
    noClasses()
        .that()
        .resideInAnyPackage(
            "..core.account..",
            "..core.journey..",
            "..core.calendar..",
            "..core.behaviour..",
            "..core.happening..",
            "..core.reading..",
            "..core.arrange..",
            "..core.calibrate..",
            "..core.format..")
        .and()
        .doNotHaveSimpleName("BetaBinomial")
        .should()
        .callConstructor(IllegalArgumentException.class, String.class)
        .because("an IllegalArgumentException becomes an incident, a Refused a sentence")
        .check(CORE);
  }

  /** How an address is written is a rule, and these two know it; nothing is sent by them. */
  private static final Set<String> OF_ADDRESSES =
      Set.of(
          "jakarta.mail.internet.InternetAddress",
          "jakarta.mail.internet.AddressException",
          "java.net.IDN");

  @Test
  void theCoreKnowsNoInterface() {
    noClasses()
        .should()
        .dependOnClassesThat(
            resideInAnyPackage("org.springframework..", "java.sql..", "jakarta..", "java.net..")
                .and(
                    DescribedPredicate.describe(
                        "do more than write addresses",
                        type -> !OF_ADDRESSES.contains(type.getFullName()))))
        .because("the rules of the job must run and be tested without any interface around them")
        .check(CORE);
  }

  @Test
  void onlyTheFormatParses() {
    noClasses()
        .that()
        .resideOutsideOfPackage("..core.format..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("tools.jackson..", "com.fasterxml..")
        .because("what a file looks like is the format's business alone")
        .check(CORE);
  }

  @Test
  void timeAndChanceComeInAsValues() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .belongToAnyOf(Clock.class, Random.class)
        .orShould()
        .callMethodWhere(readsTheClock())
        .because("every run must be repeatable")
        .check(CORE);
  }

  private static DescribedPredicate<JavaAccess<?>> readsTheClock() {
    return DescribedPredicate.describe(
        "reads the clock",
        access ->
            access instanceof JavaMethodCall
                && (access.getName().equals("now") && inJavaTime(access)
                    || access.getName().equals("currentTimeMillis")));
  }

  private static boolean inJavaTime(JavaAccess<?> access) {
    return access.getTargetOwner().getPackageName().startsWith("java.time");
  }
}
