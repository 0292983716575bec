@props(['of'])
<span title="{{ \App\View\SizeWords::exact($of) }}">{{
    \App\View\SizeWords::short($of)
}}</span>