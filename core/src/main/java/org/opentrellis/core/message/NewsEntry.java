package org.opentrellis.core.message;

/** Something new on the site. */
public record NewsEntry(String title, String words, String address) {}
