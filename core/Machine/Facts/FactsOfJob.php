<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Facts;

use Cobblestone\Machine\Model\DriveBay;

/** What one job brings with it (rule A1). */
final class FactsOfJob
{
    /** @return list<FactDefinition> */
    public static function all(): array
    {
        return [
            ...self::roomOfTheCard(),
            ...self::powerOfTheCard(),
            ...self::cToF(),
            ...self::fitted(),
            ...self::fToI(),
            ...self::nToS(),
            ...self::sToU(),
        ];
    }

    /** @return list<FactDefinition> what a new card takes of its slot (rule H5) */
    private static function roomOfTheCard(): array
    {
        return [
            new FactDefinition(
                'card.generation', FactType::Measure, FactOwner::Job, range: [1, 9],
                spoken: 'generation of the new card',
            ),
            new FactDefinition(
                'card.lanes', FactType::Measure, FactOwner::Job, range: [1, 32],
                spoken: 'lanes of the new card',
            ),
            new FactDefinition(
                'card.length_mm', FactType::Measure, FactOwner::Job, range: [20, 600],
                spoken: 'length of the new card, mm',
                asking: new Asking(
                    'How long is the new card, in mm?',
                    'Measure it, its bracket not counted, such as "285".',
                ),
            ),
            new FactDefinition(
                'card.slots_wide', FactType::Measure, FactOwner::Job, range: [1, 6],
                spoken: 'width of the new card, slots',
                asking: new Asking('How many slots wide is the new card, its cooler counted?', 'Such as "2".'),
            ),
        ];
    }

    /** @return list<FactDefinition> what feeds a new card (rule H5) */
    private static function powerOfTheCard(): array
    {
        return [
            new FactDefinition(
                'card.leads', FactType::Text, FactOwner::Job,
                asking: new Asking(
                    'Which power leads does the supply have for the card, each on its own cable?',
                    offers: [
                        'none' => 'none',
                        '6-pin' => 'one with 6 pins',
                        '8-pin' => 'one with 8 pins',
                        '8-pin, 6-pin' => 'one with 8 and one with 6 pins',
                        '8-pin, 8-pin' => 'two with 8 pins',
                        '8-pin, 8-pin, 8-pin' => 'three with 8 pins',
                        '16-pin:450' => 'one with 16 pins, 450 W',
                        '16-pin:600' => 'one with 16 pins, 600 W',
                    ],
                ),
            ),
            new FactDefinition(
                'card.processor_w', FactType::Measure, FactOwner::Job, range: [1, 1000],
                asking: new Asking('How many watts does the processor draw at most?', 'Such as "65".'),
            ),
            new FactDefinition(
                'card.supply_w', FactType::Measure, FactOwner::Job, range: [1, 5000],
                asking: new Asking(
                    'How many watts does the power supply give?',
                    'It stands on its label, such as "650".',
                ),
            ),
            new FactDefinition(
                'card.watts', FactType::Measure, FactOwner::Job, range: [1, 2000],
                asking: new Asking('How many watts does the new card draw?', 'Its box says it, such as "220".'),
            ),
        ];
    }

    /** @return list<FactDefinition> of a drive that is bought for the job (rule H2) */
    private static function fitted(): array
    {
        return [
            new FactDefinition(
                'fitted.form', FactType::Choice, FactOwner::Job,
                answers: DriveBay::FORMS,
                spoken: 'form of the new drive',
                asking: new Asking('Which form has the new drive?', 'It stands on its label or box.'),
            ),
            new FactDefinition(
                'fitted.height_mm', FactType::Measure, FactOwner::Job, range: [1, 60],
                spoken: 'height of the new drive',
            ),
            new FactDefinition(
                'fitted.interface', FactType::Choice, FactOwner::Job,
                answers: DriveBay::INTERFACES,
                spoken: 'interface of the new drive',
                asking: new Asking('Which interface has the new drive?', 'It stands on its label or box.'),
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function cToF(): array
    {
        return [
            new FactDefinition('channel.other', FactType::Text, FactOwner::Job),
            new FactDefinition(
                'charger.at_hand', FactType::YesNo, FactOwner::Job,
                spoken: 'charger of the machine',
                asking: new Asking(
                    'Is the charger of the machine here?',
                    offers: ['yes' => 'is here', 'no' => 'is not here'],
                ),
            ),
            new FactDefinition(
                'charger.watts', FactType::Measure, FactOwner::Job, range: [1, 500],
                spoken: 'what the charger gives, W',
            ),
            new FactDefinition('decrypt.bytes', FactType::Size, FactOwner::Job, spoken: 'decrypted so far, bytes'),
            new FactDefinition(
                'decrypt.mb_s', FactType::Measure, FactOwner::Job, range: [0, 20000],
                spoken: 'rate of the decryption, MB/s',
            ),
            new FactDefinition(
                'decrypt.percent', FactType::Measure, FactOwner::Job,
                spoken: 'decrypted so far, %',
                range: [0, 100],
            ),
            new FactDefinition(
                'factory.image', FactType::YesNo, FactOwner::Job,
                asking: new Asking(
                    'How does the maker\'s factory image still answer?',
                    offers: [
                        'yes' => 'from the running system or by its key',
                        'media' => 'only from the maker\'s recovery medium',
                        'no' => 'not at all',
                    ],
                ),
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function fToI(): array
    {
        return [
            new FactDefinition('fallback.entry', FactType::Text, FactOwner::Job),
            new FactDefinition(
                'hub.at_hand', FactType::YesNo, FactOwner::Job,
                spoken: 'hub with a power input',
                asking: new Asking(
                    'Is there a hub with a power input?',
                    offers: ['yes' => 'lies ready', 'no' => 'none here'],
                ),
            ),
            new FactDefinition(
                'image.expanded_bytes', FactType::Size, FactOwner::Job,
                asking: new Asking(
                    'How many bytes does {image} have when expanded?',
                    'Its format does not tell: such as "14 GB".',
                ),
            ),
            new FactDefinition(
                'image.kind', FactType::Text, FactOwner::Job,
                asking: new Asking(
                    'What does the publisher call this image?',
                    offers: [
                        'optical-hybrid' => 'an image to write to a stick as it is',
                        'optical' => 'an optical image whose files are copied onto a stick',
                        'raw' => 'a disk image',
                        'raw-compressed' => 'a packed disk image',
                    ],
                ),
            ),
            new FactDefinition(
                'image.for_model', FactType::YesNo, FactOwner::Job,
                spoken: 'whether the image is made for exactly this model',
                asking: new Asking(
                    'Is {image} what the maker gives out for exactly this model, {machine}?',
                    'Compare model and suffix on the case with the maker\'s page.',
                    offers: ['yes' => 'yes, for exactly this one', 'no' => 'no, or for a sibling'],
                ),
            ),
            new FactDefinition('image.matches', FactType::YesNo, FactOwner::Job),
        ];
    }

    /** @return list<FactDefinition> */
    private static function nToS(): array
    {
        return [
            new FactDefinition(
                'network.driver', FactType::Choice, FactOwner::Job,
                spoken: 'driver of the network adapter',
                asking: new Asking(
                    'Does {system} bring a driver for {adapters}?',
                    offers: [
                        'brings' => 'yes, it was tried live or is known',
                        'beside' => 'no, but an adapter or phone that it drives lies ready',
                        'stick' => 'no, its driver goes onto the stick by hand',
                    ],
                ),
            ),
            new FactDefinition('network.works', FactType::YesNo, FactOwner::Job),
            new FactDefinition(
                'power.everyday_w', FactType::Count, FactOwner::Job, range: [1, 500],
                spoken: 'power limit for every day, W',
            ),
            new FactDefinition('power.load_w', FactType::Measure, FactOwner::Job, range: [1, 5000]),
            new FactDefinition('restore.point', FactType::YesNo, FactOwner::Job),
            new FactDefinition(
                'screen.rate_hz', FactType::Measure, FactOwner::Job, range: [20, 1000],
                spoken: 'picture rate of the owner\'s screen, Hz',
            ),
            new FactDefinition('stick.refused', FactType::YesNo, FactOwner::Job),
            new FactDefinition(
                'upgrade.allowed', FactType::YesNo, FactOwner::Job,
                spoken: 'whether the wanted system installs over the present one',
                asking: new Asking(
                    'Does its publisher say that {system} installs over what is on it, keeping it?',
                    'The publisher\'s page on upgrades says over what.',
                    offers: ['yes' => 'yes, over this one', 'no' => 'no'],
                ),
            ),
        ];
    }

    /** @return list<FactDefinition> */
    private static function sToU(): array
    {
        return [
            new FactDefinition('swap.bytes', FactType::Size, FactOwner::Job),
            new FactDefinition('swap.drive', FactType::Text, FactOwner::Job),
            new FactDefinition('swap.path', FactType::Text, FactOwner::Job),
            new FactDefinition('swap.serial', FactType::Text, FactOwner::Job, holds: FactDefinition::LETTER_OR_DIGIT),
            new FactDefinition('target.bytes', FactType::Size, FactOwner::Job),
            new FactDefinition('target.drive', FactType::Text, FactOwner::Job),
            new FactDefinition(
                'target.other_system', FactType::Text, FactOwner::Job,
                spoken: 'system that stays beside the new one',
                unknownSays: true,
            ),
            new FactDefinition('target.path', FactType::Text, FactOwner::Job),
            new FactDefinition(
                'target.others', FactType::Choice, FactOwner::Job,
                spoken: 'other drives inside',
                asking: new Asking(
                    'Are other drives inside the machine, or plugged into it?',
                    offers: ['none' => 'no, it is the only one', 'some' => 'yes, or nobody has looked'],
                ),
            ),
            new FactDefinition('target.serial', FactType::Text, FactOwner::Job, holds: FactDefinition::LETTER_OR_DIGIT),
            new FactDefinition(
                'target.stays', FactType::Text, FactOwner::Job,
                spoken: 'first sectors of what stays on the target drive',
                unknownSays: true,
            ),
            new FactDefinition('tried', FactType::Text, FactOwner::Job),
            new FactDefinition('ups.usable_wh', FactType::Measure, FactOwner::Job, range: [1, 20000]),
        ];
    }
}
