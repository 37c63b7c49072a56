package org.opentrellis.cli;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.Clusters;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Where people are sent through, as an option of a command. */
final class OnCluster {
  @Spec(Spec.Target.MIXEE)
  CommandSpec spec;

  @Option(
      names = "--on",
      paramLabel = "MASTER",
      description =
          "On the machines of an Apache Spark cluster instead, such as spark://HOST:7077, or local[2]; the figures are the same.")
  @Nullable String master;

  boolean isAsked() {
    return master != null;
  }

  Cluster open() {
    Clusters clusters =
        Clusters.find()
            .orElseThrow(
                () ->
                    new ParameterException(
                        spec.commandLine(),
                        "--on needs Apache Spark, which is not here; ./trellis %s fetches it."
                            .formatted(spec.name())));
    return clusters.open(master);
  }
}
