<?php

use App\Answers\AnswerFault;
use App\Answers\AnswerTemplate;
use App\Catalogue\CatalogueFolder;
use App\Models\Job;
use Illuminate\Support\Facades\File;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Worked;

const VALUES = [
    'computer_name' => 'QF-07', 'region' => 'Harbour & <quay> "left"', 'keyboard' => "O'Brien; \\ \$x", 'edition' => '',
    'bypass' => ['memory', 'cores'],
];

it('writes every value so that the format reads it back as it was', function (
    string $format,
    string $template,
    callable $read,
) {
    $text = (new AnswerTemplate($template, $format))->fill(VALUES);
    expect($read($text))->toBe([VALUES['region'], VALUES['keyboard']]);
})->with([
    'xml' => ['xml', '<a><r>{{ region }}</r><k v="{{ keyboard }}"/></a>', static function (string $text): array {
        $xml = simplexml_load_string($text);

        return [(string) $xml->r, (string) $xml->k['v']];
    }],
    'json' => ['json', '{"r": "{{ region }}", "k": "{{ keyboard }}"}', static fn (string $text): array => array_values(
        json_decode($text, true),
    )],
    'yaml' => ['yaml', "r: \"{{ region }}\"\nk: \"{{ keyboard }}\"\n", static fn (string $text): array => array_values(
        Yaml::parse($text),
    )],
]);

it('leaves lines out, joins lists, and changes letters', function () {
    $template = "[first]\n{% if computer_name %}\nname = \"{{ computer_name|lower }}\"\n{% endif %}\n"
        ."{% if edition %}\nedition = \"{{ edition }}\"\n{% endif %}\npass = \"{{ bypass|join(' ') }}\"\n";
    expect((new AnswerTemplate($template, 'ini'))->fill(VALUES))
        ->toBe("[first]\nname = \"qf-07\"\npass = \"memory cores\"\n");
});

it('cannot be brought to loop, read, call or tell', function (string $template) {
    $fill = fn () => (new AnswerTemplate("<a>{$template}</a>", 'xml'))->fill(VALUES);
    expect(Worked::calmly(fn () => expect($fill)->toThrow(AnswerFault::class)))->toBeLessThan(1.0);
})->with([
    'a loop' => ['{% for i in 1..1000000000 %}x{% endfor %}'],
    'a loop over a list' => ['{% for b in bypass %}x{% endfor %}'],
    'a range' => ['{{ (1..1000000000)|join }}'],
    'a power' => ['{{ 9 ** 9 ** 9 }}'],
    'another file' => ['{% include "/etc/passwd" %}'],
    'a file by function' => ['{{ source("/etc/passwd") }}'],
    'a constant' => ['{{ constant("PHP_VERSION") }}'],
    'a filter that calls' => ['{{ ["id"]|map("system")|join }}'],
    'a filter that is not escaped' => ['{{ region|raw }}'],
    'a macro' => ['{% macro x() %}{{ _self.x() }}{% endmacro %}'],
    'a variable of its own' => ['{% set x = region %}{{ x }}'],
    'something nobody gave' => ['{{ password }}'],
    'an object' => ['{{ app.user }}'],
    'a mark that does not close' => ['{{ region'],
    'a secret in so many words' => ['<password>Harbour2026</password>'],
    'a key' => ['<product-key>QF7A-11BB-22CC</product-key>'],
]);

it('refuses a text that is no file of its format, and says where', function (
    string $format,
    string $text,
    string $words,
) {
    expect(fn () => (new AnswerTemplate($text, $format))->fill(VALUES))->toThrow(AnswerFault::class, $words);
})->with([
    ['xml', "<a>\n<b>\n</a>", 'line 3'],
    ['xml', '<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>', 'DOCTYPE'],
    ['yaml', "a: 1\n b: [", 'line'],
    ['yaml', 'only words', 'no keys and values'],
    ['json', '{"a": }', 'no JSON'],
    ['ini', "[a\nb = (", 'no INI file'],
    ['xml', "<a>\n{{ nobody }}</a>", 'Template, line 2'],
]);

it('names a template that cannot be filled in when the catalogue is read', function () {
    $folder = sys_get_temp_dir().'/answers-'.bin2hex(random_bytes(6));
    File::copyDirectory(base_path('catalogue'), $folder);
    $file = "{$folder}/systems/tansy-desktop-7.yaml";
    $text = (string) file_get_contents($file);
    file_put_contents($file, str_replace('{{ region }}', '{{ secret_of_somebody }}', $text));
    $faults = CatalogueFolder::read($folder)->faults();
    File::deleteDirectory($folder);
    expect($faults)->toHaveCount(1)
        ->and($faults[0])->toContain('systems/tansy-desktop-7.yaml: answer_file.template: Template, line 3');
});

it('names an answer that a template promises and does not give', function () {
    $folder = sys_get_temp_dir().'/answers-'.bin2hex(random_bytes(6));
    File::copyDirectory(base_path('catalogue'), $folder);
    $file = "{$folder}/systems/orrin-desktop-3.yaml";
    $text = (string) file_get_contents($file);
    file_put_contents($file, str_replace('keyboard: "{{ keyboard }}"', 'keyboard: "x"', $text));
    $faults = CatalogueFolder::read($folder)->faults();
    File::deleteDirectory($folder);
    expect($faults)->toBe([
        'systems/orrin-desktop-3.yaml: answer_file.template: it says that it answers "keyboard", and {{ keyboard }} is '
            .'not in it.',
    ]);
});

it('shows the file with what was worked out marked, and gives out the very bytes of the checksum shown', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['lead']);
    expect($job->computer_name)->toBe('QF-01');
    $page = $this->get("/jobs/{$job->id}/answers")->assertOk()
        ->assertSee('<mark>QF-01</mark>', false)
        ->assertSee('in the answer file')
        ->assertSee('tansy/first-start.xml');
    $file = $this->get("/jobs/{$job->id}/answer-file")->assertOk();
    $page->assertSee(hash('sha256', (string) $file->getContent()));
    expect((string) simplexml_load_string((string) $file->getContent())->computer['name'])->toBe('QF-01');
    $repair = $this->jobFrom('repair', $people['lead']);
    $this->get("/jobs/{$repair->id}/answers")->assertOk()->assertSee('starts no new system');
    $this->get("/jobs/{$repair->id}/answer-file")->assertNotFound();
});

it('gives no two computers the same name, and takes none that the system refuses', function () {
    $people = $this->bench();
    $first = $this->jobFrom('fairlead-13', $people['lead']);
    $second = $this->jobFrom('fairlead-13', $people['lead']);
    expect([$first->computer_name, $second->computer_name])->toBe(['QF-01', 'QF-02']);
    $this->actingAs($people['lead']);
    $typed = ['machine' => 'Norrel Fairlead 13', 'image' => 'tansy-desktop-7-dock', 'title' => 'Third'];
    $wrong = ['qf-01' => 'in capitals', 'QF-01' => 'has "QF-01" already', 'A-NAME-MUCH-TOO-LONG' => '15 at most'];
    foreach ($wrong as $name => $words) {
        $this->from('/jobs/new')->post('/jobs', [...$typed, 'fb_name' => $name])->assertRedirect('/jobs/new');
        expect(session('errors')->first('fb_name'))->toContain($words);
    }
    expect(Job::query()->count())->toBe(2);
    $this->post('/jobs', [...$typed, 'fb_name' => 'DESK-9', 'fb_use' => 'work'])->assertSessionHasNoErrors();
    expect(Job::query()->where('computer_name', 'DESK-9')->count())->toBe(1);
});
