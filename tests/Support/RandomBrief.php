<?php

namespace Tests\Support;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Plan;

/** Briefs by chance, from a seed: every kind of job on every kind of machine, with what may and may not be known. */
final class RandomBrief
{
    private const FACTS = [
        'owner.keep' => ['some', 'nothing'],
        'drive.encryption' => ['none', 'chip', 'chip-and-pin', 'passphrase', 'key-in-clear', 'unknown'],
        'encryption.key' => ['yes', 'no'],
        'encryption.binding' => ['keys', 'measured'],
        'old_system.starts' => ['yes', 'no'],
        'machine.managed' => ['yes', 'no', 'no', 'no', 'no'],
        'owner.lock' => ['none', 'signed-in', 'signed-out'],
        'factory.image' => ['yes', 'media', 'no'],
        'firmware.version' => ['1.02', '1.05', '1.14', '1.16', '9'],
        'firmware.supervisor_password' => ['none', 'none', 'lost'],
        'symptom.powers_up' => ['yes', 'no'],
        'symptom.picture' => ['yes', 'no'],
        'symptom.starts' => ['normally', 'safe-mode', 'recovery', 'no'],
        'symptom.since' => ['update', 'driver', 'power-loss', 'nothing'],
        'recovery.environment' => ['yes', 'no'],
        'restore.point' => ['yes', 'no'],
        'network.works' => ['yes', 'no'],
        'image.matches' => ['yes', 'no'],
        'wish.original' => ['yes', 'no'],
        'tried' => ['revive', 'startup-repair', 'take-back, system-files'],
        'licence.kind' => ['firmware-key', 'entitlement', 'retail', 'none', 'unclear'],
        'drive.free_bytes' => ['9000000000', '900000000000'],
        'target.serial' => ['NEW-88F1'],
        'target.others' => ['none', 'some'],
        'target.stays' => ['2048', '4096', '2048, 4096'],
        'target.other_system' => ['none', 'another'],
        'present.system' => ['tansy-desktop-6', 'another'],
        'present.edition' => ['Dock', 'Ferry'],
        'present.build' => ['22000', '26100'],
        'upgrade.allowed' => ['yes', 'no'],
        'image.for_model' => ['yes', 'no'],
        'network.driver' => ['brings', 'beside', 'stick'],
        'image.kind' => ['raw', 'optical', 'optical-hybrid'],
        'battery.percent' => ['12', '88'],
        'charger.at_hand' => ['yes', 'no'],
        'hub.at_hand' => ['yes', 'no'],
        'decrypt.percent' => ['40', '100'],
        'target.bytes' => ['512110190592', '256 GB'],
        'board.revision' => ['1', '2'],
        'power.load_w' => ['120', '400'],
        'ups.usable_wh' => ['12', '200'],
        'memory_bytes' => ['2147483648', '17179869184'],
        'firmware.secure_boot' => ['on', 'off'],
        'firmware.boot_mode' => ['uefi', 'legacy'],
        'image.expanded_bytes' => ['14 GB'],
        'battery.health' => ['0.5'],
        'graphics.uefi_picture' => ['yes', 'no'],
    ];

    public static function plan(int $seed): ?Plan
    {
        try {
            return JobPlanner::plan(Brief::fromArray(self::brief($seed)), Demo::catalogue(), Policy::of());
        } catch (BriefFault) {
            return null;
        }
    }

    /** @return array<string, mixed> */
    public static function brief(int $seed): array
    {
        mt_srand($seed);
        $goal = self::one(JobKind::cases());
        $machine = self::machine($goal);
        $brief = [
            'brief' => 1,
            'title' => "by chance {$seed}",
            'goal' => $goal->value,
            'read_at' => '2026-11-20',
            'machine' => $machine,
        ];
        [$brief['system'], $brief['image']] = self::wanted($goal);
        foreach (self::FACTS as $fact => $values) {
            if (mt_rand(0, 3) === 0) {
                $brief['machine']['facts'][$fact] = self::one($values);
            }
        }
        // What is said twice, and otherwise each time, is a contradiction and not less known.
        if (isset($machine['lsblk'])) {
            unset($brief['machine']['facts']['target.others'], $brief['machine']['facts']['target.serial']);
        }
        $keep = $brief['machine']['facts']['owner.keep'] ?? self::one(['some', 'nothing']);
        $brief['backup'] = self::maybe([
            'keep' => $keep,
            'bytes' => self::one([24117248000, 900]),
            'files' => 11840,
            'destination' => ['name' => 'Shelf drive', 'free_bytes' => self::one([500_000_000_000, 1000])],
        ]);
        $brief['memory'] = self::maybe([
            'modules' => ['M1' => 8, 'M2' => 8],
            'slots' => ['A', 'B'],
            'profile' => self::one(['standard', 'faster']),
            'tests' => array_fill(0, mt_rand(0, 2), [
                'placed' => ['M1' => 'A', 'M2' => 'B'],
                'profile' => self::one(['standard', 'faster']),
                'passes' => mt_rand(1, 3),
                'outcome' => self::one(['clean', 'errors', 'no-start']),
            ]),
        ]);
        $brief['licence'] = self::maybe([
            'kind' => self::one(['retail', 'firmware-key', 'none']),
            'edition' => self::one(['Ferry', 'Dock']),
        ]);
        if ($brief['licence'] !== null) {
            unset($brief['machine']['facts']['licence.kind']);
        }
        $brief['extras'] = self::maybe([['what' => 'trimmed build', 'source' => 'a friend']]);
        $brief['card'] = [
            'new' => 'Ostler V5',
            'watts' => self::one([120, 375, 450]),
            ...self::maybe([
                'supply_w' => self::one([300, 850]),
                'processor_w' => 95,
                'leads' => self::one([['8-pin'], ['8-pin', '8-pin'], []]),
            ]) ?? [],
        ];
        $brief['update'] =
            self::maybe([
                'reason' => 'sleep drain',
                ...self::maybe(['to' => self::one(['1.14', '1.16', '9.9'])]) ?? [],
            ]) ?? [];
        $brief['policy'] =
            self::maybe([
                'boot' => self::one(['one-time-menu', 'permanent-order']),
                'bypass' => self::one(['off', 'recorded']),
                'extras' => self::one(['off', 'recorded']),
            ]) ?? [];
        $brief['edition'] = self::maybe('Dock');
        if (isset($machine['kind']) && is_array($brief['system'])) {
            $brief['catalogue'] = self::maybe('none');
        }

        $brief['host'] = self::maybe(self::one(array_keys(Demo::catalogue()->hosts())));
        $brief['collect'] = self::maybe(true);
        $brief['released'] = self::maybe([
            ['id' => 'guard', 'what' => 'The guard is on again', 'why' => 'it stopped the tool', 'step' => self::one([
                'media.write', 'intake.take-in', 'no.such-stone',
            ])],
        ]);

        return array_filter($brief, static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, mixed> */
    private static function machine(JobKind $goal): array
    {
        $models = array_keys(Demo::catalogue()->all('machines'));
        $machine =
            mt_rand(0, 3) > 0
                ? ['model' => self::one($models)]
                : [
                    'kind' => self::one(['desktop', 'laptop', 'handheld', 'sealed', 'any']),
                    'ports' => ['usb-a' => mt_rand(0, 2), 'usb-c' => mt_rand(0, 1)],
                ];
        $lsblk = self::lsblk();
        $machine += ['facts' => []] + ($lsblk === null ? [] : ['lsblk' => $lsblk]);
        if (mt_rand(0, 3) === 0) {
            $machine['readings'] = [
                [
                    'tool' => 'smartctl',
                    'health' => [
                        [
                            'serial' => 'AAA-0001',
                            'model' => 'NV',
                            'kind' => 'nvme',
                            'figures' => ['media_errors' => mt_rand(0, 2)],
                        ],
                    ],
                ],
            ];
        }

        return $machine;
    }

    private static function lsblk(): ?string
    {
        $drives = [];
        for ($i = 0, $count = mt_rand(0, 3); $i < $count; $i++) {
            $drive = [
                'name' => "nvme{$i}n1",
                'path' => "/dev/nvme{$i}n1",
                'type' => 'disk',
                'size' => self::one([512110190592, 512110190592, 2000398934016]),
                'serial' => self::one(['AAA-0001', "BBB-000{$i}", null]),
                'model' => 'NV-3',
                'tran' => 'nvme',
                'rm' => false,
            ];
            if (mt_rand(0, 2) > 0) {
                $drive['pttype'] = 'gpt';
                $drive['children'] = [
                    [
                        'name' => "nvme{$i}n1p1",
                        'type' => 'part',
                        'size' => 107374182400,
                        'start' => 2048,
                        'fstype' => self::one(['ntfs', 'ext4', 'crypto_LUKS']),
                        'fsused' => 24117248000,
                        'label' => 'System',
                    ],
                ];
            }
            $drives[] = $drive;
        }

        return $drives === [] ? null : (string) json_encode(['blockdevices' => $drives]);
    }

    /** @return array{0: mixed, 1: mixed} */
    private static function wanted(JobKind $goal): array
    {
        $images = Demo::catalogue()->all('images');
        if (mt_rand(0, 3) > 0) {
            $id = self::one(array_keys($images));

            return [$images[$id]['system'], $id];
        }
        $kind = self::one([null, 'raw', 'raw-compressed', 'optical', 'optical-hybrid', 'device-restore']);

        return [
            ['name' => 'Heron 1'],
            ['name' => 'heron-1.img', 'bytes' => 3_600_000_000, ...$kind === null ? [] : ['kind' => $kind]],
        ];
    }

    private static function maybe(mixed $value): mixed
    {
        return mt_rand(0, 2) === 0 ? $value : null;
    }

    private static function one(array $values): mixed
    {
        return array_values($values)[mt_rand(0, count($values) - 1)];
    }
}
