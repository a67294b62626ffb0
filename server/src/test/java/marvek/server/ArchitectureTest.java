package marvek.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;

@AnalyzeClasses(packages = "marvek", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule dependenciesPointOneWay =
      noClasses()
          .that()
          .resideInAnyPackage("marvek.core..", "marvek.formats..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "marvek.server..", "org.springframework..", "jakarta..", "java.sql..", "javax.sql..");

  @ArchTest
  static final ArchRule coreKnowsNothingOfFiles =
      noClasses()
          .that()
          .resideInAPackage("marvek.core..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("marvek.formats..", "tools.jackson..", "com.fasterxml..");

  /** Feature packages do not reach into each other's stores. */
  @ArchTest
  static final ArchRule storesStayInTheirPackage =
      classes().that().areAssignableTo(Repository.class).should().bePackagePrivate();

  @ArchTest
  static final ArchRule entitiesStayInTheirPackage =
      classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

  /** Features know each other by what their packages offer, and none in a circle. */
  @Test
  void featuresKnowEachOtherByTheirFaces() {
    ApplicationModules.of(MarvekServer.class).verify();
  }

  @ArchTest
  static final ArchRule noVagueNames =
      noClasses()
          .that()
          .resideInAPackage("marvek..")
          .should()
          .haveNameMatching(".*(Util|Utils|Helper|Manager|Impl)");
}
