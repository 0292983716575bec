<?php

declare(strict_types=1);

namespace Cobblestone\Policy;

use Cobblestone\Brief\BriefFault;

/** The bench's schools and default figures; every plan echoes what it used (rule M, introduction). */
final readonly class Policy
{
    public const TEXTS = BenchTexts::NAMES;

    /**
     * @param  array<string, string>  $schools
     * @param  array<string, int|float>  $figures
     * @param  array<string, string>  $texts
     */
    private function __construct(private array $schools, private array $figures, private array $texts)
    {
    }

    /**
     * @param  array<string, mixed>  $chosen  schools and texts that differ from the defaults
     *
     * @throws BriefFault for a school or option that does not exist, or a text that cannot be one
     */
    public static function of(array $chosen = []): self
    {
        $known = Schools::all();
        $schools = array_map(static fn (School $school): string => $school->usual(), $known);
        $texts = BenchTexts::DEFAULTS;
        foreach (array_intersect_key($chosen, self::TEXTS) as $name => $text) {
            $texts[$name] = BenchTexts::read($name, $text);
        }
        foreach (array_diff_key($chosen, self::TEXTS) as $school => $option) {
            if (! isset($known[$school])) {
                throw BriefFault::at(
                    "policy.{$school}",
                    'there is no such school. Schools: '.implode(', ', array_keys($known)).'.',
                );
            }
            if (! is_string($option) || ! isset($known[$school]->options[$option])) {
                throw BriefFault::at(
                    "policy.{$school}",
                    'choose one of '.implode(', ', array_keys($known[$school]->options)).'.',
                );
            }
            $schools[$school] = $option;
        }

        return new self($schools, self::figures(), $texts);
    }

    /** @return array<string, int|float> figures that the rulebook calls default, by name */
    public static function figures(): array
    {
        return [
            'backup_margin' => 0.1,
            'stick_spare' => 0.1,
            'part_mebibytes' => 3800,
            'seconds_per_file' => 0.015,
            'host_read_mb_s' => 500,
            'host_port_mb_s' => 400,
            'line_megabits' => 100,
            'hash_mb_s' => 450,
            'expand_mb_s' => 180,
            'restart_seconds' => 45,
            'drive_nvme_mb_s' => 800,
            'drive_sata_mb_s' => 110,
            'drive_mmc_mb_s' => 60,
        ];
    }

    public function text(string $name): string
    {
        return $this->texts[$name];
    }

    public function school(string $name): string
    {
        return $this->schools[$name];
    }

    public function figure(string $name): float
    {
        return (float) $this->figures[$name];
    }

    /** What a school or a text of the bench is called on a screen. */
    public static function title(string $name): string
    {
        return isset(self::TEXTS[$name]) ? (string) strtok(self::TEXTS[$name], ':') : Schools::all()[$name]->title;
    }

    /** @return array<string, string> */
    public function schools(): array
    {
        return $this->schools;
    }

    /** @return array<string, string> schools and texts, as a brief or a bench may choose them */
    public function chosen(): array
    {
        return [...$this->schools, ...$this->texts];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['schools' => $this->schools, 'figures' => $this->figures, 'texts' => $this->texts];
    }
}
