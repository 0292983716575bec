<?php

namespace App\Http\Controllers;

use App\Bridge\JobBridge;
use App\Devices\LongLists;
use App\Http\Asked;
use App\Models\Job;
use App\View\BackupPage;
use Cobblestone\Assessment\Backup\Manifest;
use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Inventory\UnreadableInventory;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use RuntimeException;

/** Lists of both sides of a backup, compared file by file. */
final class BackupController
{
    /** Bytes of both lists together that are compared in memory; longer ones are sorted on the drive. */
    private const SHORT = 4_000_000;

    public function show(Job $job, JobBridge $bridge): View
    {
        return view('jobs.backup', ['job' => $job, 'page' => new BackupPage($bridge->progress($job))]);
    }

    public function compare(Job $job, Request $request, JobBridge $bridge): View
    {
        $request->validate([
            'source_file' => 'nullable|file|max:60000',
            'copy_file' => 'nullable|file|max:60000',
            'source' => 'nullable|string',
            'copy' => 'nullable|string',
        ]);
        [$long, $cut] = [self::long($request, 'source'), self::long($request, 'copy')];
        if (filesize($long) + filesize($cut) > self::SHORT && filesize($long) > 0 && filesize($cut) > 0) {
            try {
                [$compared, $notes, $bytes] = LongLists::compare($long, $cut);
            } catch (RuntimeException $e) {
                throw ValidationException::withMessages(['source' => $e->getMessage()]);
            }

            return view('jobs.backup', [
                'job' => $job,
                'page' => new BackupPage($bridge->progress($job), $compared, $notes, $bytes),
            ]);
        }
        [$source, $copy] = [$this->manifest($request, 'source'), $this->manifest($request, 'copy')];

        return view('jobs.backup', [
            'job' => $job,
            'page' => new BackupPage(
                $bridge->progress($job),
                ManifestComparison::of($source, $copy),
                [...$source->notes, ...$copy->notes],
                ['source' => $source->bytes(), 'copy' => $copy->bytes()],
                ['source' => self::kept($request, 'source'), 'copy' => self::kept($request, 'copy')],
            ),
        ]);
    }

    /** A side as a file, pasted or chosen. */
    private static function long(Request $request, string $side): string
    {
        $file = Asked::file($request, "{$side}_file");
        if ($file instanceof UploadedFile) {
            return $file->getPathname();
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'cobble-list');
        app()->terminating(static fn (): bool => @unlink($path));
        file_put_contents($path, (string) $request->input($side));

        return $path;
    }

    /** Pasted lists stay in the form, so that only the side that was copied again has to be pasted anew. */
    private static function kept(Request $request, string $side): string
    {
        $text = (string) $request->input($side);

        return strlen($text) > 2_000_000 ? '' : $text;
    }

    private function manifest(Request $request, string $side): Manifest
    {
        $file = Asked::file($request, "{$side}_file");
        $text = $file === null ? (string) $request->input($side) : (string) file_get_contents($file->getPathname());
        try {
            return Manifest::read($text);
        } catch (UnreadableInventory $e) {
            throw ValidationException::withMessages([$side => $e->getMessage()]);
        }
    }
}
