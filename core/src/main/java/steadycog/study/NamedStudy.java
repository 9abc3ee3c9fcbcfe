package steadycog.study;

/** A train's results with what people call it. */
public record NamedStudy(String name, Study study) {}
