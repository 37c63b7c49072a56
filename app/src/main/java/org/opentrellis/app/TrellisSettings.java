package org.opentrellis.app;

import java.nio.file.Path;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * Settings of the application.
 *
 * @param data the folder that holds the database
 * @param demo whether to lay the demo's data into an empty database
 * @param demoPeople how many people the demo gets
 * @param demoLive whether the demo's journeys have been open for three weeks
 * @param rests whether nothing that is due is done, as while it is audited
 * @param fresh whether to remove what the folder holds first, and lay the demo anew
 * @param hosts names that the application answers to besides those of this machine
 * @param leastRoom on the disk; with less, changes are refused before they begin
 * @param largestBody the largest request that is read
 * @param largestTable the largest CSV that is read
 * @param largestFile the largest picture or file that is kept
 * @param address where the public reaches the application, such as https://letters.example.com;
 *     empty for this machine
 * @param smtpPort of the stand-in mail server; 0 for any that is free
 * @param smtp a mail server, such as mail.example.com:587, to which mail is handed over instead;
 *     empty for the stand-in, so that nothing leaves this machine
 * @param smtpLogin a file whose first line is the user's name there and whose second line is the
 *     password; empty if it asks for none
 * @param cluster the master of an Apache Spark cluster, such as spark://HOST:7077, to which large
 *     runs go; empty if there is none
 * @param clusterAbove runs of more people go there
 * @param clusterOptions a file of {@code java}'s options with which it is spoken to, as {@code
 *     ./trellis} writes it
 */
@ConfigurationProperties("trellis")
public record TrellisSettings(
    Path data,
    boolean demo,
    int demoPeople,
    boolean demoLive,
    boolean rests,
    boolean fresh,
    List<String> hosts,
    DataSize leastRoom,
    DataSize largestBody,
    DataSize largestTable,
    DataSize largestFile,
    String address,
    int smtpPort,
    String smtp,
    String smtpLogin,
    String cluster,
    int clusterAbove,
    Path clusterOptions) {}
