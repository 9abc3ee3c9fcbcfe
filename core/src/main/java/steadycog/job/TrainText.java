package steadycog.job;

/**
 * What is told of one train of a job. Names need not differ: two trains of one name are told apart
 * by their place.
 *
 * @param train its name
 */
public record TrainText(String train, String text) {}
