<?php

namespace App\Devices\Inspection;

use Cobblestone\Media\Inspection\FileTree;
use Cobblestone\Media\Inspection\InspectionTools;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Storage\Reading\ByteSource;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** The tools an inspection of one file uses; what they leave behind goes with this object. */
final class FileTools implements InspectionTools
{
    private const SECONDS = 30;

    private readonly SbverifyTool $signatures;

    private ?string $head = null;

    public function __construct(private readonly string $path)
    {
        $this->signatures = new SbverifyTool;
    }

    public function __destruct()
    {
        if ($this->head !== null) {
            @unlink($this->head);
        }
    }

    public function tree(string $kind): ?FileTree
    {
        $tree = new SevenZipTree($this->path, $kind);

        return $tree->isReadable() ? $tree : null;
    }

    public function expandHead(string $compression, int $limit): ?ByteSource
    {
        $this->head = (string) tempnam(sys_get_temp_dir(), 'cobble-head');
        $out = fopen($this->head, 'wb');
        if ($out === false) {
            return null;
        }
        $process = Expander::process($compression, $this->path, self::SECONDS);
        $bytes = 0;
        try {
            $process->start();
            foreach ($process->getIterator(Process::ITER_SKIP_ERR) as $piece) {
                $bytes += (int) fwrite($out, substr($piece, 0, $limit - $bytes));
                if ($bytes >= $limit) {
                    break;
                }
            }
        } catch (ProcessTimedOutException) {
            // What came out until then is what can be looked at.
        } finally {
            $process->stop(0);
            fclose($out);
        }

        return $bytes === 0 ? null : new FileSource($this->head);
    }

    public function signatures(): SignatureTool
    {
        return $this->signatures;
    }
}
