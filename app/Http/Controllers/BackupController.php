<?php

namespace App\Http\Controllers;

use App\Bridge\JobBridge;
use App\Models\Job;
use Cobblestone\Assessment\Backup\Manifest;
use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Inventory\UnreadableInventory;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Lists of both sides of a backup, compared file by file. */
final class BackupController
{
    public function show(Job $job, JobBridge $bridge): View
    {
        return view('jobs.backup', ['job' => $job, 'progress' => $bridge->progress($job), 'compared' => null]);
    }

    public function compare(Job $job, Request $request, JobBridge $bridge): View
    {
        $request->validate(['source_file' => 'nullable|file|max:40000', 'copy_file' => 'nullable|file|max:40000', 'source' => 'nullable|string', 'copy' => 'nullable|string']);
        [$source, $copy] = [$this->manifest($request, 'source'), $this->manifest($request, 'copy')];

        return view('jobs.backup', ['job' => $job, 'progress' => $bridge->progress($job), 'compared' => ManifestComparison::of($source, $copy), 'source' => $source, 'copy' => $copy, 'typed' => ['source' => self::kept($request, 'source'), 'copy' => self::kept($request, 'copy')]]);
    }

    /** Pasted lists stay in the form, so that only the side that was copied again has to be pasted anew. */
    private static function kept(Request $request, string $side): string
    {
        $text = (string) $request->input($side);

        return strlen($text) > 2_000_000 ? '' : $text;
    }

    private function manifest(Request $request, string $side): Manifest
    {
        $file = $request->file("{$side}_file");
        $text = $file === null ? (string) $request->input($side) : (string) file_get_contents($file->getPathname());
        try {
            return Manifest::read($text);
        } catch (UnreadableInventory $e) {
            throw ValidationException::withMessages([$side => $e->getMessage()]);
        }
    }
}
