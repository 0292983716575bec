<?php

namespace App\Http\Requests;

use App\Actions\ReadInventory;
use App\Devices\Bundle;
use Cobblestone\Inventory\JsonText;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;

/** Bundles, single files or pasted text of any tool that is read here. */
final class ReadingRequest extends FormRequest
{
    private const FILES = 40;

    /** More text than any tool prints is let go at once: kept for the form, it would only fill the session. */
    protected function prepareForValidation(): void
    {
        $text = $this->input('output');
        if (is_string($text) && strlen($text) > JsonText::LIMIT) {
            $this->merge(['output' => '']);
            throw ValidationException::withMessages([
                'output' => sprintf(
                    'The pasted text has %.1f MB, far more than any of these tools prints; it was let go.',
                    strlen($text) / 1e6,
                ),
            ]);
        }
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'output' => 'nullable|string',
            'files' => 'nullable|array|max:'.self::FILES,
            'files.*' => 'file|max:'.intdiv(Bundle::FILE_LIMIT, 1024),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'files.max' => 'No more than '.self::FILES.' files at once; a bundle holds them all.',
            'files.*.max' => sprintf(
                'This file has more than %.0f MB; no bundle of the collector is that large.',
                Bundle::FILE_LIMIT / 1e6,
            ),
            'files.*.uploaded' => 'The file did not arrive whole. Try it once more.',
        ];
    }

    public function read(): ReadInventory
    {
        $read = new ReadInventory(now()->utc()->format('Y-m-d\TH:i\Z'));
        /** @var list<UploadedFile> $files */
        $files = array_values(Arr::wrap($this->file('files') ?? []));
        foreach ($files as $file) {
            $read->file($file->getPathname(), $file->getClientOriginalName());
        }
        if (trim((string) $this->input('output')) !== '') {
            $read->text(str_replace("\r\n", "\n", (string) $this->input('output')));
        }

        return $read;
    }
}
