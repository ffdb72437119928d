@props(['recording'])
<x-app :title="__('recordings.mine')">
    <form class="phone" method="post" action="{{ route('recording.word', $recording->id) }}">@csrf
        <h1>{{ $recording->session->series->section->name() }}</h1>
        <x-field name="word" :label="__('recordings.word.label')" autocomplete="off" />
        <button class="btn btn-main">{{ __('recordings.word.go') }}</button>
    </form>
</x-app>
