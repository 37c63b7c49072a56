package org.opentrellis.core.elsewhere;

import java.util.Optional;
import java.util.ServiceLoader;

/** Finds other machines; what it takes to reach them is no part of this program. */
public interface Clusters {
  /**
   * @param master where, such as {@code spark://HOST:7077} or {@code local[2]}
   * @throws ClusterTrouble if nothing answers there
   */
  Cluster open(String master);

  /** Whoever can reach clusters, if anybody here can. */
  static Optional<Clusters> find() {
    return ServiceLoader.load(Clusters.class).findFirst();
  }
}
