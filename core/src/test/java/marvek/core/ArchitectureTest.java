package marvek.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "marvek.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule coreKnowsNothingOfFrameworks =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "marvek.core..",
              "java.lang..",
              "java.util..",
              "java.time..",
              "org.locationtech.jts..",
              "org.hipparchus..",
              "net.e175.klaus.solarpositioning..");

  @ArchTest
  static final ArchRule packagesHaveNoCycles =
      slices().matching("marvek.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule noVagueNames =
      noClasses().should().haveNameMatching(".*(Util|Utils|Helper|Manager|Impl)");

  @ArchTest
  static final ArchRule theRoadKnowsNothingOfTheCar =
      noClasses()
          .that()
          .resideInAPackage("marvek.core.circuit..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("marvek.core.vehicle..", "marvek.core.profile..");
}
