<?php

declare(strict_types=1);

namespace Cobblestone\Policy;

use Cobblestone\Brief\BriefFault;

/** The bench's schools and default figures; every plan echoes what it used (rule M, introduction). */
final readonly class Policy
{
    /** School => option => what it means, in one sentence. The first option is the default. */
    public const SCHOOLS = [
        'scheme' => [
            'match' => 'Match the machine: GPT for a machine known to start by UEFI, MBR with both start paths '
                .'otherwise.',
            'widest' => 'Widest: always MBR, so that one stick starts the most machines.',
            'modern' => 'Modern: always GPT; older machines get their own stick.',
        ],
        'stick' => [
            'smallest' => 'Smallest that fits: large sticks stay free for large jobs.',
            'next-up' => 'Next size up: room for drivers and the next version.',
        ],
        'driver_order' => [
            'chipset-first' => 'Chipset first: its packages make other devices appear.',
            'network-first' => 'Network first: the machine can fetch the rest itself.',
            'graphics-first' => 'Graphics first: a readable screen for everything after.',
            'free' => 'Free, one restart: any order that needs the fewest restarts.',
        ],
        'driver_channel' => [
            'stable' => 'Stable: what its maker calls finished, the preview only where there is no other.',
            'preview' => 'Preview: the newest that its maker gives out to try.',
        ],
        'boot' => [
            'one-time-menu' => 'One-time menu: nothing is left to put back.',
            'permanent-order' => 'Permanent order: stick first until the job is done, then put back.',
        ],
        'bypass' => [
            'off' => 'Off: a system is installed only where the machine meets what its publisher asks for.',
            'recorded' => 'Allowed, with a record: where only a bypassable need is missed, the owner is told the '
                .'consequences and signs.',
        ],
        'extras' => [
            'off' => 'Off: nothing that does not come from the publisher or maker.',
            'recorded' => 'Allowed, with a record: source, checksum and reason, signed by the owner.',
        ],
        'swap' => [
            'file' => 'A file as large as memory, 8 GiB at most.',
            'none' => 'None.',
            'hibernation' => 'Room to hibernate, where the system can.',
        ],
        'account' => [
            'local-first' => 'Local first: an account of the machine where a way to it is known for the build; '
                .'connecting it is the owner\'s later choice.',
            'online-first' => 'Online first: the owner\'s account with the publisher, as the system asks for it.',
        ],
        'answers' => [
            'file' => 'By a file on the stick, where the system takes one and files are copied; the rest from the '
                .'list.',
            'list' => 'From the list alone, by hand.',
        ],
        'diagnostics' => [
            'least' => 'As little as the system allows.',
            'full' => 'All that it asks for; the owner has agreed.',
        ],
        'offers' => [
            'no' => 'No offers, no advertising.',
            'yes' => 'As the system proposes.',
        ],
        'setup_updates' => [
            'later' => 'Later: after the network and its drivers, where they are counted.',
            'during' => 'During set-up, where the system offers it.',
        ],
        'auto_encryption' => [
            'owner-keeps-key' => 'On: new systems encrypt their drive where they do so by themselves, and the owner '
                .'keeps the key.',
            'off' => 'Off: it is switched off during the first start.',
        ],
        'keys' => [
            'place-only' => 'Where the owner keeps it: the key itself is never written down here.',
            'sealed' => 'Sealed: a key may be kept here encrypted until the handover, every showing logged.',
        ],
    ];

    private const TITLES = [
        'scheme' => 'Partition scheme of a stick',
        'stick' => 'Which stick',
        'driver_order' => 'Order of drivers',
        'driver_channel' => 'Which drivers come first',
        'boot' => 'How the stick is started',
        'bypass' => 'Bypassing requirements',
        'extras' => 'What comes from elsewhere',
        'swap' => 'Room that memory may be moved to',
        'account' => 'Account at the first start',
        'answers' => 'How the first start is answered',
        'diagnostics' => 'Diagnostic data',
        'offers' => 'Offers and advertising',
        'setup_updates' => 'Updates during set-up',
        'auto_encryption' => 'Automatic drive encryption',
        'keys' => 'Recovery and licence keys',
    ];

    private const RULES = [
        'scheme' => 'M4',
        'stick' => 'M7',
        'driver_order' => 'D4',
        'driver_channel' => 'D3',
        'boot' => 'F1',
        'bypass' => 'A2',
        'extras' => 'A15',
        'swap' => 'I3',
        'account' => 'I4',
        'answers' => 'I4',
        'diagnostics' => 'I4',
        'offers' => 'I4',
        'setup_updates' => 'I4',
        'auto_encryption' => 'A7',
        'keys' => 'A7, A8',
    ];

    public const TEXTS = BenchTexts::NAMES;

    /** Figures the rulebook calls default. */
    private const FIGURES = [
        'backup_margin' => 0.1,
        'stick_spare' => 0.1,
        'part_mebibytes' => 3800,
        'seconds_per_file' => 0.015,
        'host_read_mb_s' => 500,
        'host_port_mb_s' => 400,
        'hash_mb_s' => 450,
        'expand_mb_s' => 180,
        'restart_seconds' => 45,
        'drive_nvme_mb_s' => 800,
        'drive_sata_mb_s' => 110,
        'drive_mmc_mb_s' => 60,
    ];

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
        $schools = array_map(static fn (array $options): string => (string) array_key_first($options), self::SCHOOLS);
        $texts = BenchTexts::DEFAULTS;
        foreach (array_intersect_key($chosen, self::TEXTS) as $name => $text) {
            $texts[$name] = BenchTexts::read($name, $text);
        }
        foreach (array_diff_key($chosen, self::TEXTS) as $school => $option) {
            if (! isset(self::SCHOOLS[$school])) {
                throw BriefFault::at(
                    "policy.{$school}",
                    'there is no such school. Schools: '.implode(', ', array_keys(self::SCHOOLS)).'.',
                );
            }
            if (! is_string($option) || ! isset(self::SCHOOLS[$school][$option])) {
                throw BriefFault::at(
                    "policy.{$school}",
                    'choose one of '.implode(', ', array_keys(self::SCHOOLS[$school])).'.',
                );
            }
            $schools[$school] = $option;
        }

        return new self($schools, self::FIGURES, $texts);
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

    public static function title(string $school): string
    {
        return self::TITLES[$school] ?? (string) strtok(self::TEXTS[$school], ':');
    }

    public static function rule(string $school): string
    {
        return self::RULES[$school];
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
