package org.opentrellis.core.dryrun;

/** A run was stopped before its end. */
public final class RunCancelled extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public RunCancelled() {
    super("the dry run was cancelled");
  }
}
