<?php

use Cobblestone\Document\Fields;
use Cobblestone\Media\ImageFit;
use Cobblestone\Media\ShelfImage;
use Cobblestone\Media\StickContent;
use Cobblestone\Media\StoneProof;
use Cobblestone\Media\WantedStick;
use Cobblestone\Media\WriteMode;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;

const WANTED = [
    'image' => 'Tansy Desktop 7 Dock installer', 'file' => 'tansy-7.2-dock-en.iso', 'mode' => 'files-copied',
    'scheme' => 'gpt', 'system' => 'Tansy Desktop 7', 'version' => '7.2', 'edition' => 'Dock', 'language' => 'English',
    'architecture' => 'x86-64', 'sha256' => 'planned', 'stick' => 'harbour-16',
];
const ABOUT = [
    'line' => 'Tansy Desktop 7', 'version' => '7.2', 'edition' => 'Dock', 'language' => 'English',
    'architecture' => 'x86-64',
];

function wantedStick(array $changes = []): WantedStick
{
    return WantedStick::read(Fields::of(array_filter([...WANTED, ...$changes], fn ($one) => $one !== null)));
}

function imageOnShelf(
    array $about = [],
    ?string $sha = 'here',
    ?string $published = 'here',
    ?string $damage = null,
): ShelfImage {
    return ShelfImage::told('tansy.iso', [...ABOUT, ...$about], $sha, $published, $damage);
}

it('takes an image of the shelf for the job, or says what speaks against it', function (
    array $wanted,
    ShelfImage $image,
    array $against,
    array $notes,
) {
    $fit = ImageFit::of(wantedStick($wanted), $image);
    expect($fit->against)->toBe($against)->and($fit->notes)->toBe($notes)->and($fit->fits())->toBe($against === []);
})->with(function () {
    $other = 'not the file of the catalogue, tansy-7.2-dock-en.iso: sizes and minutes of the build go by this one';

    return [
        'the planned one' => [[], imageOnShelf([], 'planned', 'planned'), [], [
            'byte for byte the image that the path was computed with',
        ]],
        'the planned one, whatever people say of it' => [[], imageOnShelf(['line' => 'Orrin'], 'planned', null), [], [
            'no published checksum: only that it is the file that was read here can be told',
            'byte for byte the image that the path was computed with',
        ]],
        'another of the same' => [[], imageOnShelf(), [], [$other]],
        'no hash in the catalogue' => [['sha256' => null], imageOnShelf(), [], []],
        'not hashed yet' => [['sha256' => null], imageOnShelf([], null), [], ['its checksum is not computed yet']],
        'newer' => [['sha256' => null], imageOnShelf(['version' => '7.10']), [], [
            'newer than the 7.2 that the path goes by',
        ]],
        'older' => [[], imageOnShelf(['version' => '7.1']), [
            'version 7.1, older than the 7.2 that the path goes by',
        ], []],
        'another system' => [[], imageOnShelf(['line' => 'Orrin Desktop 3']), ['it installs Orrin Desktop 3'], []],
        'nobody said' => [[], imageOnShelf(['line' => null]), ['nobody said which system it installs'], []],
        'nobody said, an empty word' => [[], imageOnShelf(['line' => '']), [
            'nobody said which system it installs',
        ], []],
        'no version is said' => [['sha256' => null], imageOnShelf(['version' => null]), [], []],
        'an empty version' => [['sha256' => null], imageOnShelf(['version' => '']), [], []],
        'any version is wanted' => [
            ['sha256' => null, 'version' => null], imageOnShelf(['version' => '6.0']), [], [],
        ],
        'no edition is said of it' => [['sha256' => null], imageOnShelf(['edition' => null]), [], []],
        'an empty edition' => [['sha256' => null], imageOnShelf(['edition' => '', 'channel' => '']), [], []],
        'another edition, language and machine' => [[], imageOnShelf([
            'edition' => 'Fleet', 'language' => 'Danish', 'architecture' => 'arm-64',
        ]), [
            'edition Fleet, and the job installs Dock', 'language Danish, and the job wants English',
            'for arm-64, and the machine is x86-64',
        ], []],
        'all languages' => [['sha256' => null], imageOnShelf(['language' => 'all']), [], []],
        'any language is wanted' => [
            ['sha256' => null, 'language' => 'all'], imageOnShelf(['language' => 'Danish']), [], [],
        ],
        'no edition is named by the job' => [['sha256' => null, 'edition' => null], imageOnShelf(), [], []],
        'the edition is called a channel' => [
            ['sha256' => null, 'edition' => 'stable'],
            imageOnShelf(['edition' => 'Lounge', 'channel' => 'stable']),
            [],
            [],
        ],
        'damaged, and not the published one' => [[], imageOnShelf([], 'here', 'other', 'its end is missing'), [
            'damaged: its end is missing', 'its checksum is not the published one',
        ], []],
        'the planned one, cut short' => [[], imageOnShelf([], 'planned', 'planned', 'its end is missing'), [
            'damaged: its end is missing',
        ], []],
    ];
});

it('puts what fits first, the planned one before all, then the newest, and lets older ones be', function () {
    $make = fn (string $name, string $version, string $sha) => ShelfImage::told($name, [
        ...ABOUT, 'version' => $version,
    ], $sha, $sha);
    $images = [
        $make('a', '7.2', 'a'), $make('b', '7.10', 'b'), $make('c', '7.1', 'c'), $make('d', '7.2', 'planned'),
        $make('e', '7.10', 'e'),
    ];
    $order = array_map(fn (ImageFit $fit) => $fit->image->name, ImageFit::all(wantedStick(), $images));
    expect($order)->toBe(['d', 'b', 'e', 'a', 'c']);
    $without = ImageFit::all(wantedStick(), [$images[0], $images[1]]);
    expect($without[0]->image->name)->toBe('b')
        ->and($without[1]->against)->toBe(['stale: b is 7.10, this one 7.2']);
    // Two of one version are both as new as can be; one that is no choice anyway keeps its own reason.
    $equal = ImageFit::all(wantedStick(), [$images[1], $images[4]]);
    expect([$equal[0]->fits(), $equal[1]->fits()])->toBe([true, true]);
    $unfit = ImageFit::all(wantedStick(), [$images[1], imageOnShelf(['edition' => 'Fleet'])]);
    expect($unfit[1]->against)->toBe(['edition Fleet, and the job installs Dock'])
        ->and($without[1]->planned)->toBeFalse();
    // What the path was computed with is not stale: it is what was planned.
    $planned = ImageFit::all(wantedStick(), [$images[1], $images[3]]);
    expect($planned[0]->image->name)->toBe('d')->and($planned[1]->fits())->toBeTrue();
});

it('says what a stick lacks to be the one that the job wants', function (
    array $wanted,
    array $content,
    array $along,
    array $lacks,
) {
    $on = StickContent::read([
        'image' => 'tansy.iso', 'image_sha256' => 'planned', 'mode' => 'files-copied', 'layout' => ['scheme' => 'gpt'],
        'drivers' => 0, 'about' => ABOUT, ...$content,
    ]);
    expect($on?->lacks(wantedStick($wanted), ...$along))->toBe($lacks);
})->with([
    'nothing' => [[], [], [null, null], []],
    'with what the job wants along' => [[], ['drivers_mark' => 'd', 'answers_sha256' => 'a'], ['d', 'a'], []],
    'another image' => [[], ['image_sha256' => 'x', 'about' => [...ABOUT, 'edition' => 'Fleet']], [null, null], [
        'made from tansy.iso: edition Fleet, and the job installs Dock',
    ]],
    'nobody knows its image' => [[], ['image_sha256' => null], [null, null], [
        'nobody knows the checksum of the image it was made from',
    ]],
    'another table' => [[], ['layout' => ['scheme' => 'mbr']], [null, null], [
        'its table is MBR, and the path wants GPT',
    ]],
    'raw, and copied is wanted' => [[], ['mode' => 'raw', 'layout' => null], [null, null], [
        'the image was written raw, and the path copies its files',
    ]],
    'copied, and raw is wanted' => [['mode' => 'raw', 'scheme' => null], [], [null, null], [
        'its files were copied, and the path writes the image raw',
    ]],
    'raw as wanted' => [['mode' => 'raw', 'scheme' => null], ['mode' => 'raw', 'layout' => null], [null, null], []],
    'nothing along' => [[], [], ['d', 'a'], [
        'it carries no drivers of this job', 'it carries no answers of this job',
    ]],
    'something along that nobody wants' => [[], ['drivers_mark' => 'd', 'answers_sha256' => 'a'], [null, null], [
        'it carries drivers that this job does not want', 'it carries answers that this job does not want',
    ]],
    'others along' => [[], ['drivers_mark' => 'd', 'answers_sha256' => 'a'], ['e', 'b'], [
        "its drivers are others than this job's", "its answers are others than this job's",
    ]],
    'a record of before, with drivers and answers' => [[], ['drivers' => 3, 'answers' => 'a.xml'], ['d', 'a'], [
        "its drivers are others than this job's", "its answers are others than this job's",
    ]],
]);

it('knows nothing of a stick on which nothing was built, or of which less was kept', function (?array $content) {
    expect(StickContent::read($content))->toBeNull();
})->with([[null], [[]], [['title' => 'Begun']], [['image' => 'a.iso']], [['image' => 'a.iso', 'mode' => 'by magic']]]);

it('marks driver files by path and size, in whatever order they are listed', function () {
    $mark = StickContent::mark(['a/x.inf' => 3, 'a/x.sys' => 9]);
    expect($mark)->toBe(StickContent::mark(['a/x.sys' => 9, 'a/x.inf' => 3]))
        ->and($mark)->not->toBe(StickContent::mark(['a/x.inf' => 3, 'a/x.sys' => 8]))
        ->and($mark)->not->toBe(StickContent::mark(['a/x.inf' => 3, 'b/x.sys' => 9]))
        ->and(StickContent::mark([]))->toBeNull();
});

it('says at each stone what the build has proven', function () {
    $content = [
        'image' => 'tansy.iso', 'image_sha256' => 'abc', 'mode' => 'files-copied', 'label' => 'TANSY 7',
        'written_bytes' => 34_334_854, 'files' => 93,
    ];
    $proof = fn (
        array $changes = [],
        ?string $serial = 'HB16',
        ?int $build = 12,
        ?bool $equal = true,
    ) => new StoneProof(
        'Harbour 16', 16_000_000_000, $serial, Fields::of([...$content, ...$changes]), $build, '30 Nov, 05:45', $equal,
    );
    expect($proof()->sentence(PathFact::IMAGE_PROVEN))->toBe('tansy.iso, SHA-256 abc, equal to the published one.')
        ->and($proof(equal: null)->sentence(PathFact::IMAGE_PROVEN))->toEndWith('; no published checksum is known.')
        ->and($proof(equal: false)->sentence(PathFact::IMAGE_PROVEN))->toEndWith(', not the published one.')
        ->and($proof(['image_sha256' => null], equal: null)->sentence(PathFact::IMAGE_PROVEN))
        ->toBe('tansy.iso; no published checksum is known.')
        ->and($proof()->sentence(PathFact::STICK_IDENTIFIED))
        ->toBe('Harbour 16, serial HB16, 16 000 000 000 bytes: read again right before the first write.')
        ->and($proof(serial: null)->sentence(PathFact::STICK_IDENTIFIED))->toContain('which reports no serial, 16')
        ->and($proof()->sentence(PathFact::STICK_WRITTEN))
        ->toBe('Build 12 of 30 Nov, 05:45: 34 334 854 B, files copied, label TANSY 7.')
        ->and($proof(['label' => null], build: null)->sentence(PathFact::STICK_WRITTEN))
        ->toBe('Built 30 Nov, 05:45: 34 334 854 B, files copied.')
        ->and($proof()->sentence(PathFact::STICK_PROVEN))
        ->toBe('93 files read back past the cache, each checksum equal.')
        ->and($proof(['mode' => 'raw'])->sentence(PathFact::STICK_PROVEN))->toContain('Everything was read back');
});

it('keeps in the path what its stick has to carry', function () {
    $plan = Demo::plan('fairlead-13');
    $wanted = WantedStick::of($plan);
    expect($wanted?->mode)->toBe(WriteMode::FilesCopied)
        ->and($wanted->scheme)->toBe(Scheme::Gpt)
        ->and($wanted->system)->toBe('Tansy Desktop 7')
        ->and($wanted->edition)->toBe('Dock')
        ->and($wanted->driverPackages)->toBe(1)
        ->and($wanted->toArray())->toBe($plan->assessment->all()['medium'])
        ->and(WantedStick::of(Demo::plan('firmware-update')))->toBeNull();
});

it('lays the check of the image only by a checksum that somebody stands for', function (
    array $wanted,
    ?string $sum,
    ?string $published,
    string $against,
) {
    $said = StoneProof::againstImage(wantedStick($wanted), $sum, $published) ?? '';
    expect($against === '' ? $said === '' : str_contains($said, $against))->toBeTrue($said);
})->with([
    'the one that the path names' => [[], 'planned', null, ''],
    'another, published for this file' => [[], 'other', 'other', ''],
    'another, and nobody published it' => [[], 'other', null, 'nobody has published one for this file'],
    'not the published one' => [[], 'planned', 'other', 'not the published one'],
    'the path names none, nobody published one' => [['sha256' => null], 'other', null, ''],
    'nobody computed it' => [['sha256' => null], null, null, 'Nobody knows the checksum'],
]);

it('says what the job asks for and nobody said of an image', function () {
    $unsaid = fn (array $wanted, array $about): array => ImageFit::unsaid(wantedStick($wanted), imageOnShelf($about));
    expect($unsaid([], []))->toBe([])->and($unsaid([], ['edition' => null, 'language' => '']))->toBe([
        'nobody said its edition, and the job wants Dock', 'nobody said its language, and the job wants English',
    ])
        ->and($unsaid(['edition' => null, 'language' => 'all'], ['edition' => null, 'language' => null]))->toBe([])
        ->and($unsaid([], ['architecture' => null]))->toBe(['nobody said its processor, and the job wants x86-64']);
});
