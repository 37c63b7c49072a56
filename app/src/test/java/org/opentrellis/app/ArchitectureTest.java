package org.opentrellis.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.apache.ibatis.annotations.Mapper;
import org.junit.jupiter.api.Test;
import org.springframework.web.bind.annotation.RestController;

/** How the application's features stand to each other. */
class ArchitectureTest {
  private static final JavaClasses APP =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.opentrellis.app");

  @Test
  void controllersAndMappersAreTheirFeaturesOwn() {
    classes()
        .that()
        .areAnnotatedWith(RestController.class)
        .or()
        .areAnnotatedWith(Mapper.class)
        .should()
        .bePackagePrivate()
        .because("features meet only through a facade")
        .check(APP);
  }

  @Test
  void featuresDoNotDependOnEachOtherInACircle() {
    slices()
        .matching("org.opentrellis.app.(*)..")
        .should()
        .beFreeOfCycles()
        .because("a feature must be understood without those that use it")
        .check(APP);
  }
}
