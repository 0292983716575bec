<?php

use App\House\Readable;
use Tests\Support\Demo;

/** Words with nothing between them on the page, though the source has a line end or a directive there. */
const GLUED = '/[^\s>]@(?:if|unless|elseif)\b[^\n]*?\)'
    .'(?=<(?:b|small|span|i|code|a|strong|em)\b|[A-Za-z·])'
    .'|<\/a><(?:a|b|button)\b|(?<=[\w}])<form/';

it('has no line that is wider than a page', function () {
    expect(Readable::faults(Readable::debts(Demo::root())))->toBe([]);
});

it('takes a wide line for a fault, and a length for advice', function () {
    expect(Readable::faults(['a.php' => ['wide lines' => 2, 'long methods' => 1], 'b.php' => ['long methods' => 3]]))
        ->toBe(['a.php: 2 wide lines']);
});

it('sees what is too much', function (string $code, array $debts) {
    expect(Readable::of("<?php\n{$code}\n"))->toBe($debts);
})->with([
    'nothing' => ['function f(int $a, int $b): int { return $a; }', []],
    'a wide line' => ['$a = \''.str_repeat('x', 120).'\';', ['wide lines' => 1]],
    'a line that just fits' => ['$a = \''.str_repeat('x', 112).'\';', []],
    'a long method' => ["function f(): void\n{\n".str_repeat("    g();\n", 38).'}', ['long methods' => 1]],
    'one that just fits' => ["function f(): void\n{\n".str_repeat("    g();\n", 37).'}', []],
    'seven parameters' => ['function f($a, $b, $c, $d, $e, $f, $g) {}', ['methods of many parameters' => 1]],
    'six' => ['function f($a, $b, $c, $d, $e, $f) { fn ($x) => $x; }', []],
    'a constructor' => ['class A { function __construct($a, $b, $c, $d, $e, $f, $g) {} }', []],
    'a long file' => [str_repeat("\n", 249).'$a = 1;', ['lines over the limit of a file' => 1]],
    'a bracket in a string' => [
        "function f(\$a): string\n{\n    return \"({\$a}) b\";\n}\n".str_repeat("g();\n", 40),
        [],
    ],
    'a name that is a word of the language' => [
        'class A { function for($a, $b, $c, $d, $e, $f, $g) {} }',
        ['methods of many parameters' => 1],
    ],
    'a string with braces' => [
        'function f($a) { return "{$a} }"; } function g($a, $b, $c, $d, $e, $f, $g) {}',
        ['methods of many parameters' => 1],
    ],
]);

/** @return list<string> columns that hold a document */
function storedColumns(): array
{
    $columns = [];
    foreach (glob(Demo::root().'/app/Models/*.php') ?: [] as $model) {
        preg_match_all("/'(\w+)' => 'array'/", (string) file_get_contents($model), $found);
        $columns = [...$columns, ...$found[1]];
    }

    return array_values(array_unique($columns));
}

it('has no rule of a stone by its id in the application', function () {
    $ids = [];
    foreach (Demo::ALL as $job) {
        array_push($ids, ...array_map(fn ($step): string => $step->id, Demo::plan($job)->steps));
    }
    $named = '/[\'"]('.implode('|', array_map(preg_quote(...), array_unique($ids))).')[\'"]/';
    $found = [];
    $files = new RecursiveDirectoryIterator(Demo::root().'/app', FilesystemIterator::SKIP_DOTS);
    foreach (new RecursiveIteratorIterator($files) as $file) {
        preg_match($named, (string) file_get_contents($file), $id);
        // The demo world tells what happened at which stone.
        if ($id !== [] && $file->getBasename() !== 'DemoWorld.php') {
            $found[] = "{$file->getBasename()}: {$id[1]}";
        }
    }
    expect(count(array_unique($ids)))->toBeGreaterThan(80)->and($found)->toBe([]);
});

it('knows which columns hold a document', function () {
    expect(storedColumns())->toContain('plan', 'content', 'data', 'about', 'report');
});

it('leaves views to show: no PHP, no arithmetic, no ids of stones or kinds, nothing out of the store', function () {
    $faults = [];
    $stored = '/->('.implode('|', storedColumns()).')\[/';
    $folder = Demo::root().'/resources/views';
    $found = new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS);
    foreach (new RecursiveIteratorIterator($found) as $file) {
        $view = (string) file_get_contents((string) $file);
        // What stands between quotes is text, or a class of styles.
        $bare = (string) preg_replace('/\'[^\'\n]*\'|"[^"\n{]*"/', '', $view);
        $rules = [
            'a PHP block' => preg_match('/@php|<\?php/', $view),
            'arithmetic' => preg_match('/\{\{(?:(?!\}\}).)*[\w)\]] [-+*\/%] [\w($](?:(?!\}\}).)*\}\}/s', $bare),
            'the id of a stone' => preg_match(
                '/[\'"](boot|firmware|media|protect|intake|identify|hardware|install|drivers|put-back)\.[a-z-]+[\'"]/',
                $view,
            ),
            'the name of a kind of job' => preg_match('/JobKind::[A-Z]/', $view),
            'an array out of the store' => preg_match($stored, $view),
        ];
        foreach (array_keys(array_filter($rules)) as $rule) {
            $faults[] = substr((string) $file, strlen($folder) + 1).": {$rule}";
        }
    }
    expect($faults)->toBe([]);
});

it('sees a word glued to the next, as line ends after directives are swallowed', function (string $view, bool $glued) {
    expect(preg_match(GLUED, $view) === 1)->toBe($glued);
})->with([
    ['{{ $a }}@if ($b)<b>c</b>', true], ['{{ $a }}@if ($b) <b>c</b>', false], ['.@unless ($b)There', true],
    ['<b>{{ $a }}</b></a><button>b', true], ['<b>{{ $a }}</b></a> <button>b', false], ['on<form>', true],
    ["{{ \$a }}\n@if (\$b)\n<b>c</b>", false],
]);

it('glues no word to the next in any view', function () {
    $faults = [];
    $folder = Demo::root().'/resources/views';
    $found = new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS);
    foreach (new RecursiveIteratorIterator($found) as $file) {
        if (preg_match(GLUED, (string) file_get_contents((string) $file), $match) === 1) {
            $faults[] = substr((string) $file, strlen($folder) + 1).": {$match[0]}";
        }
    }
    expect($faults)->toBe([]);
});
