<?php

declare(strict_types=1);

namespace App\Actions;

/** What somebody chose on the page of ways: a stick, a way, and what goes along. */
final readonly class StickOrder
{
    /**
     * @param  string  $stick  its name in the register
     * @param  string  $way  key of the way
     * @param  string|null  $drivers  a folder of driver files that goes along
     * @param  int|null  $job  whose file of answers goes along
     */
    public function __construct(
        public string $stick,
        public string $way,
        public ?string $drivers = null,
        public ?int $job = null,
    ) {
    }

    /** Rules of the fields that say it. */
    public const RULES = [
        'stick' => 'required|string|max:80',
        'way' => 'required|string|max:40',
        'drivers' => 'nullable|string|max:80',
        'job' => 'nullable|integer|min:1|max:2147483647',
    ];

    /** @param  array<string, mixed>  $given  what these rules let through */
    public static function of(array $given): self
    {
        return new self(
            (string) $given['stick'],
            (string) $given['way'],
            isset($given['drivers']) ? (string) $given['drivers'] : null,
            isset($given['job']) ? (int) $given['job'] : null,
        );
    }
}
