@extends('errors.frame')
@section('what', 'Page too old')
@section('next')
This page was open for so long that it can no longer be trusted. Go back, reload, and send it again; what you typed is
still in the form.@endsection
