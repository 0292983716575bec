<?php

namespace Tests\Browser;

use Symfony\Component\Process\Process;

/** Prints the page that is open as a person would, and lets tools of their own judge the paper. */
trait PrintsPages
{
    /** @return array{pages: int, text: string} of the page that is open, on A4 */
    public function printed(): array
    {
        // No figure is given for the paper: what the page's own style says has to do.
        $answer = $this->developer('Page.printToPDF', ['preferCSSPageSize' => true, 'paperWidth' => 8.27,
            'paperHeight' => 11.69]);
        $file = (string) tempnam(sys_get_temp_dir(), 'cobble-print-');
        file_put_contents($file, (string) base64_decode((string) ($answer['data'] ?? ''), true));
        try {
            $about = self::told(['pdfinfo', $file]);
            $text = self::told(['pdftotext', '-layout', $file, '-']);
        } finally {
            unlink($file);
        }
        preg_match('/^Pages:\s+(\d+)$/m', $about, $match);

        return ['pages' => (int) ($match[1] ?? 0), 'text' => (string) preg_replace('/\s+/', ' ', $text)];
    }

    /** @param  list<string>  $command */
    private static function told(array $command): string
    {
        $process = new Process($command, timeout: 20);
        $process->mustRun();

        return $process->getOutput();
    }
}
