<?php

namespace App\Devices\Inspection;

use App\Devices\Command;
use App\Devices\Limits;
use Cobblestone\Media\Inspection\FileTree;
use Cobblestone\Media\Inspection\InspectionTools;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Storage\Reading\ByteSource;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;

/** The tools an inspection of one file uses; what they leave behind goes with this object. */
final class FileTools implements InspectionTools
{
    private const SECONDS = 30;

    private readonly SbverifyTool $signatures;

    private ?string $head = null;

    public function __construct(private readonly string $path)
    {
        $this->signatures = new SbverifyTool();
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
        // Straight into the file: what passes through a pipe is held in memory while the program is faster than we are.
        $process = Command::of(
            ['sh', '-c', 'exec "$@" >"$0"', $this->head, ...Expander::arguments($compression, $this->path)],
            self::SECONDS,
            limits: new Limits(file: $limit),
        );
        try {
            $process->run();
        } catch (ProcessTimedOutException|ProcessSignaledException) {
            // What came out until then, or until there was enough of it, is what can be looked at.
        } finally {
            $process->stop(0);
        }
        clearstatcache(true, $this->head);

        return (int) filesize($this->head) === 0 ? null : new FileSource($this->head);
    }

    public function signatures(): SignatureTool
    {
        return $this->signatures;
    }
}
