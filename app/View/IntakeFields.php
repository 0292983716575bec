<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Catalogue\AppSet;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\ImageOrigin;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Policy\Schools;
use Cobblestone\Tuning\Programs;

/** What a brief can say beyond the first questions, in groups under the words of the bench. */
final class IntakeFields
{
    /** Facts that have a field of their own in the form: the list of what is known does not take them once more. */
    public const FACTS = [
        'machine.serial', 'wish.why', 'owner.programs', 'battery.percent', 'charger.at_hand', 'charger.watts',
        'hub.at_hand', 'network.driver', 'decrypt.percent', 'decrypt.bytes', 'decrypt.mb_s', 'card.length_mm',
        'card.slots_wide', 'card.lanes', 'card.generation', 'screen.rate_hz',
    ];

    /**
     * @param  array<string, mixed>  $brief
     * @param  array<string, HostProfile>  $hosts  by identifier
     * @return array<string, list<IntakeField>> heading => fields
     */
    public static function of(array $brief, array $hosts): array
    {
        $facts = $brief['machine']['facts'] ?? [];
        [$backup, $update, $card] = [$brief['backup'] ?? [], $brief['update'] ?? [], $brief['card'] ?? []];
        $existing = $backup['existing'] ?? [];

        return [
            'Power' => [
                IntakeField::fact('battery.percent', $facts),
                IntakeField::fact('charger.at_hand', $facts),
                IntakeField::fact('charger.watts', $facts),
                IntakeField::fact('hub.at_hand', $facts),
            ],
            'Network of the new system' => [
                IntakeField::fact('network.driver', $facts)->wide('col-md-6'),
            ],
            'First start of the new system' => self::firstBoot($brief['first_boot'] ?? []),
            'A decryption that runs' => [
                IntakeField::fact('decrypt.percent', $facts),
                IntakeField::fact('decrypt.bytes', $facts),
                IntakeField::fact('decrypt.mb_s', $facts),
            ],
            'A backup that is there already' => self::existing($existing),
            'A backup that is made' => self::destination($backup),
            'Firmware update' => [
                IntakeField::text('update_gives', 'What it must bring', $update['gives'] ?? null),
                IntakeField::text('update_processor', 'Processor that comes in', $update['processor'] ?? null),
                IntakeField::text('update_on_stick', 'Its file on a stick already', $update['on_stick'] ?? null),
            ],
            'Graphics card' => self::card($card, $facts),
            'Where the stick is made' => self::stick($brief, $hosts),
            'From elsewhere, not of the publisher' => self::extra($brief['extras'][0] ?? []),
            'Departures from the policy' => self::policy($brief['policy'] ?? []),
        ];
    }

    /**
     * @param  array<string, mixed>  $brief
     * @param  array<string, HostProfile>  $hosts  by identifier
     * @return list<IntakeField>
     */
    private static function stick(array $brief, array $hosts): array
    {
        return [
            IntakeField::choice('host', 'It is made on', [
                '' => 'this bench',
                ...array_map(static fn (HostProfile $host): string => $host->name, $hosts),
            ], $brief['host'] ?? '')->wide('col-md-6'),
            IntakeField::choice('collect', 'A small stick reads the machine first', [
                '' => 'no', 'yes' => 'yes, and carries what it read home',
            ], ($brief['collect'] ?? false) === true ? 'yes' : '')->wide('col-md-6'),
        ];
    }

    /**
     * @param  array<string, mixed>  $brief
     * @param  array<string, AppSet>  $sets  by identifier
     */
    public static function programs(array $brief, array $sets): IntakeField
    {
        $facts = $brief['machine']['facts'] ?? [];
        $said = is_array($facts) ? $facts[Programs::FACT] ?? '' : '';

        return IntakeField::choice('facts['.Programs::FACT.']', 'Programs for', [
            '' => 'nobody in particular',
            ...array_map(static fn (AppSet $one): string => $one->name, $sets),
        ], IntakeField::typed('facts.'.Programs::FACT, $said))->wide('col-md-4');
    }

    /**
     * Something that comes from elsewhere (rule A15).
     *
     * @param  array<string, string>  $said
     * @return list<IntakeField>
     */
    private static function extra(array $said): array
    {
        return [
            IntakeField::text('extra_what', 'What', $said['what'] ?? null)->upTo(200),
            IntakeField::text('extra_source', 'Where from', $said['source'] ?? null)->upTo(200),
            IntakeField::figure('extra_sha256', 'Its SHA-256', $said['sha256'] ?? null)->wide('col-md-6')->upTo(64),
            IntakeField::text('extra_reason', 'What it is wanted for', $said['reason'] ?? null)->upTo(200),
            IntakeField::text('extra_undo', 'What undoes it, of an add-on', $said['undo'] ?? null)
                ->wide('col-md-9')->upTo(400),
        ];
    }

    /**
     * What is known of an image that the catalogue does not hold: what it is, its checksum, its loader.
     *
     * @param  array<string, mixed>  $image
     * @return list<IntakeField>
     */
    public static function image(array $image): array
    {
        $signed = $image['loader']['signed'] ?? null;

        return [
            IntakeField::choice('image_kind', 'What it is', [
                '' => 'not known', ...FactRegistry::offers('image.kind'),
                'device-restore' => 'a restore image for a cable',
            ], $image['kind'] ?? '')->wide('col-sm-6 col-lg-4'),
            IntakeField::choice('image_loader', 'Its loader', [
                '' => 'nobody has looked', 'signed' => 'signed', 'unsigned' => 'unsigned',
            ], $signed === null ? '' : ($signed ? 'signed' : 'unsigned'))->wide('col-sm-6 col-lg-4'),
            IntakeField::figure('image_sha256', 'Its SHA-256, from the publisher', $image['sha256'] ?? null)
                ->wide('col-lg-8')->upTo(64),
            IntakeField::choice('image_no_sum', 'No checksum there?', [
                '' => 'not looked yet', 'none' => 'the publisher gives none',
            ], array_key_exists('sha256', $image) && $image['sha256'] === null ? 'none' : '')
                ->wide('col-sm-6 col-lg-4'),
        ];
    }

    /**
     * Where an image comes from that the catalogue does not hold.
     *
     * @param  array<string, string>  $origin
     * @return list<IntakeField>
     */
    public static function origin(array $origin): array
    {
        return [
            IntakeField::choice('image_origin', 'It is', [
                '' => 'the publisher\'s, as published', ...ImageOrigin::KINDS,
            ], $origin['kind'] ?? '')->wide('col-sm-6 col-lg-4'),
            IntakeField::text('image_from', 'Where it comes from', $origin['from'] ?? '')
                ->wide('col-sm-6 col-lg-4')->upTo(200),
            IntakeField::text('image_reason', 'Why not the publisher\'s', $origin['reason'] ?? '')
                ->wide('col-sm-6 col-lg-4')->upTo(400),
        ];
    }

    /**
     * @param  array<string, string>  $said
     * @return list<IntakeField>
     */
    private static function firstBoot(array $said): array
    {
        $bench = 'as the bench does';

        return [
            IntakeField::text('fb_name', 'Computer name', $said['computer_name'] ?? null)
                ->hinted('by the bench\'s pattern')
                ->upTo(63),
            IntakeField::choice('fb_use', 'How it is used', [
                '' => 'not said', 'personal' => 'personally', 'work' => 'for work', 'shared' => 'by several',
            ], $said['use'] ?? ''),
            IntakeField::choice('fb_account', 'Account', [
                '' => $bench, 'local-first' => 'of the machine', 'online-first' => 'with the publisher',
            ], $said['account'] ?? ''),
            IntakeField::choice('fb_restore', 'Set up', [
                '' => 'not said', 'new' => 'as a new machine', 'restore' => 'from the owner\'s earlier one',
            ], $said['restore'] ?? ''),
            IntakeField::text('fb_region', 'Region', $said['region'] ?? null)->hinted($bench)->upTo(60),
            IntakeField::text('fb_keyboard', 'Keyboard', $said['keyboard'] ?? null)->hinted($bench)->upTo(60),
        ];
    }

    /**
     * @param  array<string, mixed>  $existing
     * @return list<IntakeField>
     */
    private static function existing(array $existing): array
    {
        return [
            IntakeField::text('existing_date', 'Made on', $existing['date'] ?? null, 'date'),
            IntakeField::choice(
                'existing_proven',
                'Proven then',
                [
                    'no' => 'no, or nobody knows',
                    'yes' => 'yes: counted and compared',
                ],
                $existing['proven'] ?? false ? 'yes' : 'no',
            ),
            IntakeField::text('existing_samples', 'Samples opened then', $existing['samples'] ?? null),
        ];
    }

    /**
     * @param  array<string, mixed>  $backup
     * @return list<IntakeField>
     */
    private static function destination(array $backup): array
    {
        return [
            IntakeField::text(
                'dest_serial',
                'Serial of the drive it goes to',
                $backup['destination']['serial'] ?? null,
            ),
            IntakeField::text(
                'source_rate',
                'Rate of the drive copied from, MB/s',
                $backup['source_mb_s'] ?? null,
            ),
            IntakeField::text('excluded', 'Left out on purpose', implode(', ', $backup['excluded'] ?? [])),
        ];
    }

    /**
     * @param  array<string, mixed>  $card
     * @param  array<string, mixed>  $facts
     * @return list<IntakeField>
     */
    private static function card(array $card, array $facts): array
    {
        return [
            IntakeField::text('card_old', 'Card that goes out', $card['old'] ?? null),
            IntakeField::text('card_id', 'Identifier of the new card', $card['id'] ?? null),
            IntakeField::text('card_leads', 'Power leads for it', self::leads($card)),
            IntakeField::fact('card.length_mm', $facts),
            IntakeField::fact('card.slots_wide', $facts),
            IntakeField::fact('card.lanes', $facts),
            IntakeField::fact('card.generation', $facts),
            IntakeField::fact('screen.rate_hz', $facts),
        ];
    }

    /** @param  array<string, mixed>  $card */
    private static function leads(array $card): string
    {
        return match (true) {
            ! isset($card['leads']) => '',
            $card['leads'] === [] => 'none',
            default => implode(', ', $card['leads']),
        };
    }

    /**
     * @param  array<string, string>  $departures
     * @return list<IntakeField>
     */
    private static function policy(array $departures): array
    {
        $fields = [];
        foreach (Schools::all() as $school => $asked) {
            $fields[] = IntakeField::choice(
                "policy_{$school}",
                $asked->title,
                ['' => 'as the bench does', ...$asked->options],
                $departures[$school] ?? '',
            );
        }

        return $fields;
    }
}
