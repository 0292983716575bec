<?php

declare(strict_types=1);

namespace Cobblestone\Policy;

use Cobblestone\Brief\BriefFault;

/** What the bench answers in its own words at a first start (rule I4). */
final class BenchTexts
{
    /** Megabits per second of the bench's line. */
    public const LINE = 'line_mbit';

    /** Name => what it is; a job can depart from each. */
    public const NAMES = [
        'name_pattern' => 'Computer name: letters, digits and hyphens; {n} counts up, {slot} is the slot',
        'region' => 'Region',
        'keyboard' => 'Keyboard',
        self::LINE => 'Line of the bench: megabits a second that a download really gets',
    ];

    public const DEFAULTS = [
        'name_pattern' => 'QF-{n}',
        'region' => 'Quillport harbour',
        'keyboard' => 'Quillport harbour layout',
        self::LINE => '50',
    ];

    /** Signs of such an answer. */
    private const LONGEST = 60;

    /** @throws BriefFault where it cannot be one */
    public static function read(string $name, mixed $text): string
    {
        $text = is_string($text) ? trim($text) : '';
        $plain = str_replace(['{n}', '{slot}'], '', $text);
        if ($text === '' || mb_strlen($text) > self::LONGEST || preg_match('/^[^\p{C}{}<>]*$/u', $plain) !== 1) {
            throw BriefFault::at(
                "policy.{$name}",
                'write it in one line of at most '.self::LONGEST.' signs, without brackets.',
            );
        }
        $counts = '/^[A-Za-z0-9-]*\{n\}[A-Za-z0-9-]*$/';
        if ($name === 'name_pattern' && preg_match($counts, str_replace('{slot}', '', $text)) !== 1) {
            throw BriefFault::at("policy.{$name}", 'letters, digits, hyphens and {n} once; {slot} if you like.');
        }

        if ($name === self::LINE && preg_match('/^[1-9]\d{0,4}$/', $text) !== 1) {
            throw BriefFault::at("policy.{$name}", 'a whole number of megabits a second, from 1 to 99999.');
        }

        return $text;
    }
}
