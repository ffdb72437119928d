@props(['page'])
@auth
    <x-app :title="$page->words[0]">@include('joining.door.body')</x-app>
@else
    <x-base :title="$page->words[0]">
        <header class="mast narrow"><span class="name"><x-mark />Nomada</span></header>
        <main id="main" tabindex="-1">@include('joining.door.body')</main>
    </x-base>
@endauth
