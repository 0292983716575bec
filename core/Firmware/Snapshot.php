<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/** Every setting as it was read off a machine at one moment (rules F2, F3). */
final readonly class Snapshot
{
    /** Longest text that is read, in bytes; a setup has far fewer words. */
    public const LIMIT = 65_536;

    private const MOST_LINES = 400;

    /** What people write for a value, where a model's own word is another. */
    private const SYNONYMS = [
        'on' => ['enabled', 'enable', 'yes', 'true', 'active', 'x'],
        'off' => ['disabled', 'disable', 'no', 'false', 'inactive', 'none'],
    ];

    /**
     * @param  array<string, string>  $values  setting => value
     * @param  list<string>  $notes  lines that were not understood
     */
    private function __construct(public array $values, public array $notes)
    {
    }

    /**
     * @param  array<string, string>  $values
     * @param  list<Setting>  $settings  of the model; empty where nobody has described it
     */
    public static function of(array $values, array $settings): self
    {
        $kept = $notes = [];
        $known = self::byId($settings);
        foreach ($values as $id => $value) {
            $value = trim($value);
            if ($value === '') {
                continue;
            }
            $setting = $known[$id] ?? null;
            $own = $setting === null ? mb_substr($value, 0, 80) : self::ownWord($setting, $value);
            if ($setting !== null && $own === null) {
                $notes[] =
                    "{$setting->title}: \"".
                    mb_substr($value, 0, 40).
                    '" is none of '.
                    implode(', ', $setting->values).
                    '.';
            } elseif ($own !== null) {
                $kept[$id] = $own;
            }
        }

        return new self($kept, $notes);
    }

    /**
     * "Start mode: both" or "Secure Boot = off", one setting a line, in the model's words or ours.
     *
     * @param  list<Setting>  $settings
     */
    public static function fromText(string $text, array $settings): self
    {
        $values = $notes = [];
        foreach (
            array_slice(
                preg_split('/\R/u', mb_scrub(substr($text, 0, self::LIMIT))) ?: [],
                0,
                self::MOST_LINES,
            ) as $number => $line
        ) {
            $line = trim($line);
            if ($line === '' || str_starts_with($line, '#')) {
                continue;
            }
            if (preg_match('/^(.{1,80}?)\s*(?:[:=\t]|\s\.{2,}\s?)\s*\[?([^\]]{1,80})\]?$/u', $line, $found) !== 1) {
                $notes[] = 'Line '.($number + 1).': "'.mb_substr($line, 0, 60).'" is not "name: value".';

                continue;
            }
            $setting = self::named($found[1], $settings);
            $own = $setting === null ? null : self::ownWord($setting, $found[2]);
            if ($setting === null) {
                $notes[] =
                    'Line '.($number + 1).': this model has no setting "'.mb_substr($found[1], 0, 60).'".';
            } elseif ($own === null) {
                $notes[] =
                    self::notAValue($number, $setting, $found);
            } elseif (isset($values[$setting->id]) && $values[$setting->id] !== $own) {
                $notes[] =
                    'Line '.
                    ($number + 1).
                    ": {$setting->title} was \"{$values[$setting->id]}\" further up; that was kept.";
            } else {
                $values[$setting->id] = $own;
            }
        }

        return new self($values, $notes);
    }

    /**
     * @param  list<string>  $found
     */
    private static function notAValue(int $number, Setting $setting, array $found): string
    {
        return 'Line '.
        ($number + 1).
        ": {$setting->title} cannot be \"".
        mb_substr($found[2], 0, 40).
        '"; it can be '.
        implode(', ', $setting->values).
        '.';
    }

    /**
     * Values that contradict each other: set, but not in force (rule F2).
     *
     * @param  list<Setting>  $settings
     * @return list<string>
     */
    public function contradictions(array $settings): array
    {
        $found = [];
        foreach ($settings as $setting) {
            $value = $this->values[$setting->id] ?? null;
            if ($value === null || $value === 'off' || $setting->requires === []) {
                continue;
            }
            foreach ($setting->requires as $other => $wanted) {
                $is = $this->values[$other] ?? null;
                if ($is !== null && $is !== $wanted) {
                    $name = self::byId($settings)[$other]->title ?? $other;
                    $found[] = "{$setting->title} is \"{$value}\", but {$name} is \"{$is}\" and would have to be "
                        ."\"{$wanted}\": it is set, not in force. Look at both once more.";
                }
            }
        }

        return $found;
    }

    /**
     * @return list<array{setting: string, was: string|null, is: string|null}> what differs, by setting
     */
    public function difference(self $later): array
    {
        $rows = [];
        foreach (array_unique([...array_keys($this->values), ...array_keys($later->values)]) as $id) {
            [$was, $is] = [$this->values[$id] ?? null, $later->values[$id] ?? null];
            if ($was !== $is) {
                $rows[] = ['setting' => (string) $id, 'was' => $was, 'is' => $is];
            }
        }

        return $rows;
    }

    private static function ownWord(Setting $setting, string $value): ?string
    {
        $value = mb_strtolower(trim($value));
        if ($setting->values === []) {
            return mb_substr($value, 0, 80);
        }
        foreach ($setting->values as $own) {
            $lower = mb_strtolower($own);
            if ($lower === $value || in_array($value, self::SYNONYMS[$lower] ?? [], true)) {
                return $own;
            }
        }

        return null;
    }

    /** @param  list<Setting>  $settings */
    private static function named(string $name, array $settings): ?Setting
    {
        $name = self::plain($name);
        foreach ($settings as $setting) {
            if (
                in_array(
                    $name,
                    [
                        self::plain($setting->title),
                        self::plain($setting->id),
                        self::plain("{$setting->place} {$setting->title}"),
                    ],
                    true,
                )
            ) {
                return $setting;
            }
        }

        return null;
    }

    private static function plain(string $name): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($name)));
    }

    /**
     * @param  list<Setting>  $settings
     * @return array<string, Setting>
     */
    private static function byId(array $settings): array
    {
        return array_column(
            array_map(static fn (Setting $setting): array => ['id' => $setting->id, 'setting' => $setting], $settings),
            'setting',
            'id',
        );
    }
}
