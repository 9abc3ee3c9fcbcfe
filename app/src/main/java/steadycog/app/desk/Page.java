package steadycog.app.desk;

import java.util.Objects;
import steadycog.job.Job;
import steadycog.job.Sheet;

/**
 * What lies open on the desk.
 *
 * @param index which of the job's trains is in view
 */
public record Page(Job job, int index) {

  public Page {
    Objects.checkIndex(index, job.sheets().size());
  }

  public Sheet sheet() {
    return job.sheets().get(index);
  }

  Page with(Sheet changed) {
    return new Page(job.with(index, changed), index);
  }
}
