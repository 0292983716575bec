<?php

use App\Actions\OpenJob;
use App\Documents\BriefDocument;
use App\Documents\YamlDocument;
use App\Models\Job;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Signs that mean something in YAML, JSON, HTML, shells and terminals, beside plain ones. */
const ANY_SIGNS = [
    '*',
    '&',
    '!',
    '%',
    '@',
    '`',
    '#',
    ':',
    ': ',
    '- ',
    '? ',
    '|',
    '>',
    '{',
    '}',
    '[',
    ']',
    ',',
    ', *',
    '"',
    "'",
    '\\',
    '~',
    '=',
    '<<',
    '<',
    '$',
    '\n',
    "\n",
    "\r\n",
    "\t",
    ' ',
    '  ',
    'a',
    'urgent',
    'Fairlead',
    'é',
    'ß',
    '木',
    "\u{202E}",
    "\u{2028}",
    "\u{85}",
    "\u{FEFF}",
    "\u{A0}",
    '---',
    '...',
    'null',
    'true',
    'no',
    '0x1f',
    '1e3',
    '012',
    '1_000',
    '2026-11-28',
    '12:30',
    '.inf',
    '%s',
    '\x00',
];

function anyText(Randomizer $random): string
{
    return implode(
        '',
        array_map(
            static fn (): string => ANY_SIGNS[$random->getInt(0, count(ANY_SIGNS) - 1)],
            range(1, $random->getInt(1, 9)),
        ),
    );
}

it('keeps any text exactly as it was given', function () {
    $random = new Randomizer(new Mt19937(20261128));
    $brief = BriefDocument::fromFile(base_path('docs/guide/briefs/capstan-t3.yaml'));
    for ($i = 0; $i < 600; $i++) {
        $given = [
            ...$brief,
            'title' => anyText($random),
            'owner' => anyText($random),
            'list' => [anyText($random), anyText($random)],
            'keyed' => [anyText($random) => anyText($random)],
            'number' => 1.0,
            'none' => null,
        ];
        expect(json_encode(YamlDocument::parse(YamlDocument::text($given, 'it'), 'it')))->toBe(json_encode($given));
    }
});

it('refuses before anything is stored what no text can hold', function () {
    $deep = [];
    for ($i = 0; $i < 50; $i++) {
        $deep = ['a' => $deep];
    }
    expect(fn () => YamlDocument::text($deep, 'it'))->toThrow(App\Documents\DocumentFault::class, 'nested deeper');
});

it('opens everywhere whatever was accepted', function (string $text) {
    $people = $this->bench();
    // Through the form, as a person types it.
    $this->actingAs($people['lead'])
        ->post('/jobs', [
            'machine' => 'laptop',
            'machine_title' => $text,
            'image' => 'tansy-desktop-7-dock',
            'goal' => 'clean-install',
            'title' => $text,
            'owner' => $text,
            'keep' => 'nothing',
        ])
        ->assertSessionHasNoErrors()
        ->assertStatus(303);
    $job = Job::query()->sole();
    foreach (
        [
            '',
            '/run',
            '/assessment',
            '/settings',
            '/rehearsal',
            '/intake',
            '/log',
            '/handover',
            '/paper',
            '/brief.yaml',
            '/plan.json',
            '/ways-in',
            '/memory',
            '/backup',
            '/keys',
        ] as $page
    ) {
        expect($this->get("/jobs/{$job->id}{$page}")->status())->toBe(200, "/jobs/n{$page} with \"{$text}\"");
    }
    foreach (['/', '/jobs', '/logbook', '/bell', '/find?q='.urlencode($text)] as $page) {
        $this->get($page)->assertOk();
    }
    expect($job->refresh()->title)->toBe(trim($text));
})->with([
    'Fairlead (wi-fi, *urgent, till Friday)',
    'R&D [*a, &b]',
    '*',
    '&x',
    "it's: {a: *b}",
    '- #1 "quoted" \\n',
    '!!php/object x',
    '<script>alert(1)</script> {{ 1 }} @php',
    "\u{202E}txt.exe",
]);

it('takes a drive whose model is written with signs', function (string $model) {
    $people = $this->bench();
    $brief = BriefDocument::fromFile(base_path('docs/guide/briefs/capstan-t3.yaml'));
    $brief['machine']['lsblk'] = str_replace(
        '"model": "',
        '"model": "'.substr(json_encode($model), 1, -1).' ',
        (string) preg_replace('/"model":\s*"/', '"model": "', (string) $brief['machine']['lsblk']),
    );
    $job = app(OpenJob::class)->handle($people['lead'], $brief);
    foreach (['', '/run', '/assessment', '/intake', '/handover'] as $page) {
        $this->actingAs($people['lead'])
            ->get("/jobs/{$job->id}{$page}")
            ->assertOk();
    }
})->with(['*SSD, *fast', 'Q&A & more', "a: b\t# c"]);
