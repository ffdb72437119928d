@php
    use Nomada\App\Support\Words;
    $base = url('/sections');
@endphp
<x-app title="Joining">
    <div class="bar">
        <h1>Joining</h1>
        <div class="sum">{{ Words::count($all, 'series', 'series') }} · <span
                @class(['todo' => $counts['missing'] > 0])>{{ $counts['missing'] === 0 ? 'all linked' : "{$counts[
                    'missing']} without a join link" }}</span>
            @if ($counts['open'] > 0)
                ·
                <span class="bad">{{ $counts['open'] }} more open than the preset</span>
            @endif
        </div>
        <nav class="end" aria-label="Show"><a @class(['pill', 'on' => $show === '']) href="{{ route('joining') }}">All {{ $all }}</a><a
                @class(['pill', 'on' => $show === 'missing']) href="{{ route('joining', ['show' => 'missing']) }}">Without link
                {{ $counts['missing'] }}</a><a @class(['pill', 'on' => $show === 'open'])
                href="{{ route('joining', ['show' => 'open']) }}">More open
                {{ $counts['open'] }}</a><a @class(['pill', 'on' => $show === 'hidden'])
                href="{{ route('joining', ['show' => 'hidden']) }}">Hidden
                {{ $counts['hidden'] }}</a>
            <span class="mx-1"></span><a class="pill" href="{{ route('drop-ins') }}">Drop-in rooms</a>
            @can('coordinate')
                <a class="pill" href="{{ route('presets') }}">Presets</a><a class="pill" href="{{ route('audit') }}">Audit</a>
            @endcan
        </nav>
    </div>
    @foreach (['series', 'act', 'preset', 'account'] as $f)
        @error($f)
            <p class="fault" role="alert">{{ $message }}</p>
        @enderror
    @endforeach
    @if ($rows === [])
        <div class="empty">
            <h2>{{ $all === 0 ? 'No series yet' : 'None here' }}</h2>
            {{ $all === 0 ? 'Plan a section\'s series first; a link is made for it here.' : 'Nothing is left to do at this filter.' }}
        </div>
    @else
        @php $used = array_unique(array_column($rows, 'preset')); @endphp
        <dl class="presets-used">
            @foreach ($presets as $p)
                @if (in_array($p->name, $used, true))
                    <dt>{{ $p->name }}</dt>
                    <dd>{{ $p->say($p->door, $p->floor) }}</dd>
                @endif
            @endforeach
        </dl>
        <form method="post" action="{{ route('joining.act') }}" x-data="board">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col"><input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll"
                                aria-label="Choose all"></th>
                        <th scope="col">Series</th>
                        <th scope="col">Join link</th>
                        <th scope="col">Preset</th>
                        <th scope="col" class="num">May come in</th>
                        <th scope="col">Account</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr class="row-c">
                            <td><input class="form-check-input" type="checkbox" name="series[]" value="{{ $row->id }}"
                                    data-name="{{ $row->name }}"
                                    aria-label="Choose {{ $row->name }}{{ $row->title === '' ? '' : ': ' . $row->title }}"></td>
                            <td><a
                                    href="{{ $base . '/' . rawurlencode(
                                        $row->section) }}/series/{{ $row->id }}/joining"><b>{{ $row->name }}</b></a>{{ $row->title === ''
                                        ? '' : ': ' . $row->title }}
                                <small>{{ $row->meets }}</small>
                            </td>
                            <td class="nowrap">
                                @if ($row->link)
                                    <span class="mono">{{ $row->code }}</span> <button type="button" class="btn btn-plain py-0"
                                        x-data="copy" data-text="{{ $row->link }}" x-on:click="copy"
                                        x-text="label">Copy</button>
                                    @if ($row->isHidden)
                                        <span class="todo">hidden</span>
                                @endif @else<span class="todo">no link</span>
                                @endif
                            </td>
                            <td>{{ $row->preset }}@if ($row->differs)
                                    , changed: <small>{{ $row->sentence }}</small>
                                    @endif @if ($row->moreOpen !== [])
                                        <br><span class="{{ $row->acceptedBy === null ? 'bad' : 'quiet' }}">More open:
                                            {{ implode(', ', $row->moreOpen) }}{{ $row->acceptedBy === null ? ''
                                                : "; accepted by $row->acceptedBy" }}</span>
                                    @endif
                            </td>
                            <td class="num nowrap">{{ $row->registered }} of {{ $row->roster }}</td>
                            <td class="nowrap">{{ $row->account ?? '–' }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <div class="tray" role="region" aria-label="What to do with the chosen series"><b x-text="words()">Chosen</b><span
                    class="names" x-text="names"></span><button class="btn btn-side" type="button" x-on:click="clear">None</button>
                <select class="form-select w-auto" name="preset" aria-label="Preset">
                    @foreach ($presets as $p)
                        <option value="{{ $p->key }}">{{ $p->name }}</option>
                    @endforeach
                </select>
                <button class="btn btn-side" name="act" value="preset">Set preset…</button>
                @if ($accounts !== [])<select class="form-select w-auto" name="account"
                        aria-label="Host account">
                        @foreach ($accounts as $a)
                            <option value="{{ $a->id }}">{{ $a->name }}</option>
                        @endforeach
                    </select><button class="btn btn-side" name="act" value="account">Hand over…</button>@endif
                <button class="btn btn-side" name="act" value="hide">Hide…</button><button class="btn btn-side" name="act"
                    value="show">Show…</button><button class="btn btn-side" name="act" value="replace">Replace…</button><button
                    class="btn btn-main" name="act" value="links">Make links…</button>
            </div>
        </form>
    @endif
</x-app>
