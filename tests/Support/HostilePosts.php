<?php

namespace Tests\Support;

use Random\Randomizer;

/** Requests made of what forms really send, and of what breaks programs. */
final class HostilePosts
{
    private const FIELDS = [
        'title',
        'machine',
        'machine_title',
        'owner',
        'slot',
        'image',
        'goal',
        'text',
        'agreed_by',
        'gate',
        'serial',
        'read_from',
        'evidence',
        'accepted',
        'facts',
        'settings',
        'placed',
        'files',
        'output',
        'pasted',
        'photo',
        'kind',
        'label',
        'secret',
        'stick',
        'way',
        'drivers',
        'because',
        'seen_folders',
        'stone',
        'fact',
        'value',
        'decision',
        'published',
        'published_by',
        'line',
        'version',
        'as_of',
        'login',
        'role',
        'password',
        'current_password',
        'password_confirmation',
        'code',
        'reaches',
        'worked',
        'step',
        'number',
        'outcome',
        'of',
        'rung',
        'modules',
        'slots',
        'profile',
        'passes',
        'spare_gib',
        'source',
        'copy',
        'for',
        'wait_text',
        'remind',
        'lsblk',
        'keep',
        'folders',
        'backup_bytes',
        'backup_files',
        'dest_free',
        'existing_date',
        'card_id',
        'card_leads',
        'policy_keys',
        'name',
        'bytes',
        'mark',
        'keys',
        'scheme',
        'owner_days',
        'up_to',
        'gone',
        'as_seen',
        'before_clock',
        'q',
        'page',
        '_method',
        '_token',
    ];

    private const PLAUSIBLE = [
        '1',
        '0',
        '-1',
        'yes',
        'no',
        'some',
        'nothing',
        'clean',
        'clean-install',
        'repair',
        'upgrade',
        'drive-swap',
        'card-swap',
        'lead',
        'technician',
        'recovery',
        'licence',
        'setup',
        'menu',
        'standard',
        'errors',
        'this-time',
        'model',
        'raw',
        'files-copied',
        'Fairlead 13',
        'Capstan T3',
        'norrel-fairlead-13',
        'tansy-desktop-7-dock',
        'M1 8, M2 8',
        'A1, A2',
        'parts',
        '2026-12-01',
        'taken',
        'photos',
        'secure_boot',
        'machine.serial',
        'intake.take-in',
        '64 GB',
        'installer-starts',
    ];

    public function __construct(private readonly Randomizer $random, private readonly array $known)
    {
    }

    /** @return array{0: string, 1: array<string, mixed>, 2: string} address, fields, body */
    public function request(string $uri, int $seen): array
    {
        $path =
            '/'.
            preg_replace_callback(
                '/\{(\w+)\??\}/',
                fn (array $part): string => rawurlencode($this->parameter($part[1])),
                $uri,
            );
        $fields = $this->chance(2) ? ['seen' => $this->chance(4) ? $this->value(0) : (string) $seen] : [];
        for ($i = $this->random->getInt(0, 9); $i > 0; $i--) {
            $fields[$this->pick(self::FIELDS)] = $this->value(0);
        }
        if ($this->chance(20)) {
            $fields[$this->text()] = $this->value(0);
        }

        return [
            $path.
            ($this->chance(25)
                ? '?'.
                    rawurlencode($this->pick(self::FIELDS)).
                    $this->pick(['', '[]', '[a][b]']).
                    '='.
                    rawurlencode($this->text())
                : ''),
            $fields,
            $this->chance(6) ? $this->text() : '',
        ];
    }

    private function parameter(string $name): string
    {
        if ($this->chance(15)) {
            return str_replace('/', '', $this->text());
        }

        return (string) match ($name) {
            'action' => $this->pick([
                'start',
                'walk',
                'confirm',
                'done',
                'problem',
                'retry',
                'note',
                'waive',
                'take-back',
                'stop',
                'explode',
            ]),
            'change' => $this->pick(['wait', 'resume', 'reminded', 'rollback-lost', 'other']),
            'session' => bin2hex($this->random->getBytes(12)),
            'upload' => $this->pick(['00000000-0000-0000-0000-000000000000', 'x']),
            default => $this->pick($this->known[$name] ?? [1, 2, 999999999999]),
        };
    }

    private function value(int $depth): mixed
    {
        if ($depth < 3 && $this->chance(7)) {
            $list = [];
            for ($i = $this->random->getInt(0, 4); $i > 0; $i--) {
                $list[$this->chance(2) ? $this->random->getInt(0, 3) : $this->text()] = $this->value($depth + 1);
            }

            return $list;
        }

        return $this->chance(2) ? $this->pick(self::PLAUSIBLE) : $this->text();
    }

    private function text(): string
    {
        return match ($this->random->getInt(0, 13)) {
            0 => '',
            1 => $this->random->getBytes($this->random->getInt(1, 12)),
            2 => "a\0b",
            3 => str_repeat('x', $this->random->getInt(100, 70_000)),
            4 => '99999999999999999999999',
            5 => '-9223372036854775809',
            6 => "\u{202E}abc\u{2028}",
            7 => "'; drop table users; --",
            8 => '../../../etc/passwd',
            9 => '<script>alert(1)</script>{{ 7 * 7 }}',
            10 => '{"blockdevices": [{"name": {}, "size": "x"}]}',
            11 => "*x: &a [*a]\n- !!php/object",
            12 => '1e999',
            default => (string) $this->random->getInt(-5, 1_000_000_000_000),
        };
    }

    /** @param  list<mixed>  $of */
    private function pick(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    private function chance(int $in): bool
    {
        return $this->random->getInt(1, $in) === 1;
    }
}
