<?php

namespace App\Http\Controllers;

use App\Actions\ScanShelf;
use App\Models\Upload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Images that come through the browser in pieces; what broke off goes on where it stopped. */
final class UploadController
{
    public const PIECE = 8_388_608;

    private const LARGEST = 137_438_953_472;

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['name' => 'required|string|max:200', 'bytes' => 'required|integer|min:1|max:'.self::LARGEST], ['bytes.min' => 'The file is empty.', 'bytes.max' => 'More than 128 GiB in one file are not taken.']);
        $name = trim((string) preg_replace('/[\x00-\x1F\x7F\/\\\\]/', '', $given['name']), ' .');
        if ($name === '' || ! mb_check_encoding($name, 'UTF-8')) {
            return $this->refused('The file needs a name.');
        }
        if (is_file(config('cobblestone.shelf')."/{$name}")) {
            return $this->refused("A file {$name} is on the shelf already. Rename yours, or take the other one away first.");
        }
        $upload = Upload::query()->where('name', $name)->where('bytes', $given['bytes'])->where('user_id', $request->user()?->id)->latest()->first();
        if ($upload === null || ! is_file($upload->path())) {
            $free = (int) disk_free_space(Upload::folder());
            if ($given['bytes'] > $free - (int) config('cobblestone.keep_free')) {
                return $this->refused(sprintf('This computer has %.1f GB free, the file has %.1f GB. Make room first.', $free / 1e9, $given['bytes'] / 1e9));
            }
            $upload = Upload::query()->create(['id' => (string) Str::uuid(), 'name' => $name, 'bytes' => $given['bytes'], 'received' => 0, 'user_id' => $request->user()?->id]);
            touch($upload->path());
        }
        clearstatcache();
        $upload->update(['received' => min((int) filesize($upload->path()), $upload->bytes)]);

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
            ftruncate($handle, $have);
            fclose($handle);

            return $this->refused('This computer\'s drive is full. What came so far is kept: make room and go on.', 507);
        }
        fclose($handle);
        $upload->update(['received' => $have + $written]);
        if ($upload->received < $upload->bytes) {
            return response()->json(['received' => $upload->received]);
        }

        return $this->arrived($upload, $scan);
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
        // link() refuses a name that is taken; rename() would take its place.
        if (! @link($upload->path(), $to)) {
            return $this->refused("A file {$upload->name} came onto the shelf meanwhile. Rename yours and begin again.");
        }
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
