@props(['steps'])
<x-app :title="__('setup.title')">
    <x-page-head :title="__('setup.title')" :sum="__('setup.sum')" />
    @include('term.set-up-steps', ['steps' => $steps])
</x-app>
