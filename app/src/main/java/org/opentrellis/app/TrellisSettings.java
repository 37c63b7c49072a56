package org.opentrellis.app;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * Settings of the application.
 *
 * @param data the folder that holds the database
 * @param demo whether to lay the demo's data into an empty database
 * @param largestBody the largest request that is read
 * @param largestTable the largest CSV that is read
 */
@ConfigurationProperties("trellis")
public record TrellisSettings(
    Path data, boolean demo, DataSize largestBody, DataSize largestTable) {}
