<?php

namespace App\Http\Controllers;

use App\Actions\ScanShelf;
use App\Devices\Command;
use App\Models\Upload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Images that come through the browser in pieces; what broke off goes on where it stopped. */
final class UploadController
{
    public const PIECE = 8_388_608;

    /** Bytes; what a file system takes, less the ending that an upload has meanwhile. */
    private const LONGEST_NAME = 250;

    private const LARGEST = 137_438_953_472;

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(
            [
                'name' => 'required|string',
                'bytes' => 'required|integer|min:1|max:'.self::LARGEST,
                'mark' => ['required', 'regex:/^[0-9a-f]{24}$/'],
            ],
            [
                'bytes.min' => 'The file is empty.',
                'bytes.max' => 'More than 128 GiB in one file are not taken.',
                'mark.*' => 'The file could not be read to begin with. Choose it again.',
            ],
        );
        $name = trim((string) preg_replace('/[\x00-\x1F\x7F\/\\\\]/', '', $given['name']), ' .');
        if ($name === '') {
            return $this->refused('The file needs a name.');
        }
        if (strlen($name) > self::LONGEST_NAME) {
            return $this->refused(
                'The name has '.
                    strlen($name).
                    ' bytes, a file here can have '.
                    self::LONGEST_NAME.
                    '. Give it a shorter one.',
            );
        }
        if (is_file(config('cobblestone.shelf')."/{$name}")) {
            return $this->refused(
                "A file {$name} is on the shelf already. Rename yours, or take the other one away first.",
            );
        }

        return $this->begun($name, $given, $request);
    }

    /** @param  array<string, mixed>  $given */
    private function begun(string $name, array $given, Request $request): JsonResponse
    {
        // Gone on with only where it is the same at its start, middle and end: another build of the same name and
        // size is another file.
        $upload = Upload::query()
            ->where('name', $name)
            ->where('bytes', $given['bytes'])
            ->where('mark', $given['mark'])
            ->where('user_id', $request->user()?->id)
            ->latest()
            ->first();
        if ($upload === null || ! is_file($upload->path())) {
            $free = Upload::room();
            if ($given['bytes'] > $free) {
                return $this->refused(
                    sprintf(
                        'This computer has %.1f GB free for images, %.1f GB of it promised to uploads under way; the '
                            .'file has %.1f GB. Make room first.',
                        max(0, $free + Upload::promised()) / 1e9,
                        Upload::promised() / 1e9,
                        $given['bytes'] / 1e9,
                    ),
                    507,
                );
            }
            $upload = Upload::query()->create([
                'id' => (string) Str::uuid(),
                'name' => $name,
                'bytes' => $given['bytes'],
                'received' => 0,
                'mark' => $given['mark'],
                'user_id' => $request->user()?->id,
            ]);
            touch($upload->path());
        }
        clearstatcache();
        $upload->update(['received' => min((int) filesize($upload->path()), $upload->bytes), 'updated_at' => now()]);

        return response()->json(['id' => $upload->id, 'received' => $upload->received, 'piece' => self::PIECE]);
    }

    public function piece(Upload $upload, Request $request, ScanShelf $scan): JsonResponse
    {
        abort_unless($upload->user_id === $request->user()?->id, 404);
        $handle = @fopen($upload->path(), 'r+b');
        if ($handle === false || ! flock($handle, LOCK_EX)) {
            return $this->refused('The part that was sent before is gone. Begin again.', 410);
        }
        $at = (int) $request->query('at', '-1');
        $have = (int) (fstat($handle)['size'] ?? 0);
        $body = $request->getContent();
        if ($at !== $have || $body === '' || strlen($body) > self::PIECE || $have + strlen($body) > $upload->bytes) {
            fclose($handle);

            return response()->json(['received' => $have, 'message' => 'That piece does not fit here.'], 409);
        }
        fseek($handle, 0, SEEK_END);
        $written = @fwrite($handle, $body);
        if ($written !== strlen($body)) {
            return $this->fullDrive($handle, $have);
        }
        // Told only once it is on the disk.
        $kept = fflush($handle) && fsync($handle);
        fclose($handle);
        if (! $kept) {
            return $this->refused(
                'This computer\'s drive did not keep the piece. What came before is kept: make room and go on.',
                507,
            );
        }
        $upload->update(['received' => $have + $written, 'updated_at' => now()]);
        if ($upload->received < $upload->bytes) {
            return response()->json(['received' => $upload->received]);
        }

        return $this->arrived($upload, $scan);
    }

    /** @param  resource  $handle */
    private function fullDrive(mixed $handle, int $have): JsonResponse
    {
        ftruncate($handle, max(0, $have));
        fclose($handle);

        return $this->refused(
            'This computer\'s drive is full. What came so far is kept: make room and go on.',
            507,
        );
    }

    public function cancel(Upload $upload, Request $request): JsonResponse
    {
        abort_unless($upload->user_id === $request->user()?->id, 404);
        @unlink($upload->path());
        $upload->delete();

        return response()->json(['received' => 0]);
    }

    private function arrived(Upload $upload, ScanShelf $scan): JsonResponse
    {
        $to = config('cobblestone.shelf')."/{$upload->name}";
        if (Upload::markOf($upload->path()) !== $upload->mark) {
            @unlink($upload->path());
            $upload->delete();

            return $this->refused(
                'What arrived is not the file that was announced: it changed while it was sent. Nothing was kept; '
                    .'choose it again.',
                409,
            );
        }
        // link() refuses a name that is taken; rename() would take its place.
        if (! @link($upload->path(), $to)) {
            return $this->refused(
                "A file {$upload->name} came onto the shelf meanwhile. Rename yours and begin again.",
            );
        }
        // Its name too is on the disk before anybody is told that it is there.
        Command::run(['sync', $to, dirname($to)], 600);
        @unlink($upload->path());
        $upload->delete();
        touch($to, time() - 10);
        $scan->handle();

        return response()->json(['received' => $upload->bytes, 'done' => true]);
    }

    private function refused(string $message, int $status = 422): JsonResponse
    {
        return response()->json(['message' => $message], $status);
    }
}
