package steadycog.app.files;

import java.awt.GraphicsEnvironment;
import java.awt.print.PrinterException;
import java.awt.print.PrinterJob;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.printing.PDFPageable;

/** Prints a finished sheet by the system's own dialog. */
public final class Printer {
  private Printer() {}

  /** Asks for a printer and prints; returns what came of it. Blocks, so call it aside. */
  public static String print(byte[] pdf) {
    if (GraphicsEnvironment.isHeadless()) {
      return "There is no printer without a display: save the sheet as PDF.";
    }
    try (PDDocument sheet = Loader.loadPDF(pdf)) {
      PrinterJob job = PrinterJob.getPrinterJob();
      if (job.getPrintService() == null) {
        return "No printer is set up: save the sheet as PDF.";
      }
      job.setPageable(new PDFPageable(sheet));
      if (!job.printDialog()) {
        return "";
      }
      job.print();
      return "Sent to " + job.getPrintService().getName() + ".";
    } catch (IOException | PrinterException failed) {
      return "Not printed: " + failed.getMessage();
    }
  }
}
