<?php

namespace App\Devices\Build;

use App\Devices\Command;
use App\Devices\Inspection\Expander;
use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\StickPlan;

/** Writes an image byte for byte, unpacking it on the way without a copy. */
final class RawWriter
{
    public const BLOCK = 4_194_304;

    public function __construct(
        private readonly StickPlan $plan,
        private readonly StickDevice $stick,
        private readonly SourceFiles $source,
        private readonly BuildProgress $progress,
    ) {
    }

    public function write(): void
    {
        $this->progress->stage('Write the image', $this->plan->image->expanded ?? 0);
        $out =
            @fopen($this->stick->path(), 'r+b') ?:
            throw BuildFailure::of('protected', 'The stick cannot be opened for writing.');
        $kind = $this->plan->image->compression;
        $process = null;
        $errors = '';
        if ($kind === null) {
            $in =
                @fopen($this->source->image, 'rb') ?: throw BuildFailure::of('source', 'The image cannot be opened.');
        } else {
            $null = fopen('/dev/null', 'rb') ?: throw BuildFailure::of('source', '/dev/null cannot be opened.');
            [$process, $pipes, $errors] = Pump::start(Expander::arguments($kind, $this->source->image), $null);
            $in = $pipes[1];
        }
        try {
            $done = $this->copy($in, $out);
        } finally {
            fclose($in);
            fclose($out);
            $code = $process === null ? 0 : proc_close($process);
            $words = $errors === '' ? '' : Command::lastWords((string) file_get_contents($errors));
            $errors === '' || @unlink($errors);
        }
        if ($code !== 0) {
            throw BuildFailure::of('source', "The image could not be unpacked to its end: {$words}");
        }
        if ($this->plan->image->expanded !== null && $done !== $this->plan->image->expanded) {
            throw BuildFailure::of(
                'source',
                "The image gave {$done} B, its format promised {$this->plan->image->expanded} B: it is damaged.",
            );
        }
    }

    /**
     * @param  resource  $in
     * @param  resource  $out
     * @return int bytes written
     */
    private function copy($in, $out): int
    {
        stream_set_write_buffer($out, 0);
        stream_set_read_buffer($in, 0);
        stream_set_chunk_size($in, self::BLOCK);
        $done = 0;
        while (! feof($in)) {
            $piece = fread($in, self::BLOCK);
            if ($piece === false) {
                throw BuildFailure::of('source', 'The image could not be read to its end.');
            }
            if ($done + strlen($piece) > $this->plan->device) {
                throw BuildFailure::of(
                    'source',
                    'What comes out of the image is larger than the stick ('.
                        number_format($this->plan->device, 0, '.', ' ').
                        ' B). Take a larger stick.',
                );
            }
            if (@fwrite($out, $piece) !== strlen($piece)) {
                throw BuildFailure::of(
                    'room',
                    'The stick took no more bytes: this computer\'s drive, or the stick, is full.',
                );
            }
            $done += strlen($piece);
            $this->stick->wrote(strlen($piece));
            $this->progress->at($done);
            $this->progress->mustGoOn();
        }

        return $done;
    }
}
