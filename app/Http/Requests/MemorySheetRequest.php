<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** The frame of a memory sheet: modules and their sizes, slots, profile, a module known good. */
final class MemorySheetRequest extends FormRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'modules' => 'required|string|max:400',
            'slots' => 'required|string|max:400',
            'profile' => 'required|in:standard,faster',
            'soldered' => 'nullable|boolean',
            'spare_gib' => 'nullable|integer|min:1|max:1024',
            'passes' => 'nullable|integer|min:1|max:20',
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'modules.required' => 'Name at least one module with its size, such as "M1 8".',
            'slots.required' => 'Name the slots, as the board does.',
            'spare_gib.*' => 'Whole GiB, or empty.',
            'passes.*' => 'A whole number, 1 to 20.',
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $tests  those made so far
     * @param  list<list<string>>  $populations  slot sets the board fills together, which count while the slots are
     *     named as the board does
     * @return array<string, mixed> the brief's memory block
     */
    public function sheet(array $tests, array $populations = []): array
    {
        $given = $this->validated();
        $modules = [];
        foreach (self::parts($given['modules']) as $part) {
            if (preg_match('/^(.{1,40}?)[ =:]+([0-9]{1,4}) ?(GiB|GB|G)?$/i', $part, $match) !== 1) {
                throw ValidationException::withMessages([
                    'modules' => "\"{$part}\": a name and whole GiB are wanted, such as \"M1 8\".",
                ]);
            }
            $modules[trim($match[1])] = (int) $match[2];
        }
        $sheet = [
            'modules' => $modules,
            'slots' => self::parts($given['slots']),
            'profile' => $given['profile'],
            'tests' => $tests,
        ];
        if ($populations !== [] && array_diff(array_merge(...$populations), $sheet['slots']) === []) {
            $sheet['populations'] = $populations;
        }
        if ((bool) ($given['soldered'] ?? false)) {
            $sheet['soldered'] = true;
        }
        foreach (['spare_gib', 'passes'] as $key) {
            if (isset($given[$key])) {
                $sheet[$key] = (int) $given[$key];
            }
        }

        return $sheet;
    }

    /** @return list<string> */
    private static function parts(string $text): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('/[\n,;]/', $text) ?: []),
                static fn ($part): bool => $part !== '',
            ),
        );
    }
}
