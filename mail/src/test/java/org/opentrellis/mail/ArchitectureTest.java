package org.opentrellis.mail;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
  private static final JavaClasses MAIL =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.opentrellis.mail");

  @Test
  void mailIsWrittenWithoutTheApplication() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "org.springframework..", "java.sql..", "org.opentrellis.app..", "tools.jackson..")
        .because("a letter can be written and tested without database, server and clock")
        .check(MAIL);
  }
}
