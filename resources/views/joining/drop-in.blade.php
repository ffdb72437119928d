@php use Nomada\App\Support\Words; @endphp
<x-app title="Drop-in rooms">
    <div class="bar">
        <h1>Drop-in rooms</h1>
        <div class="sum">{{ Words::count(count($rows), 'room') }} for office hours, each shut outside its hours and on closed days</div>
        <div class="end"><a class="pill" href="{{ route('joining') }}">Joining</a></div>
    </div>
    @error('form')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    @if ($rows === [])
        <div class="empty">
            <h2>No drop-in room yet</h2>Sessions with a start and an end are the rule; a room that is only open in office hours is made
            here.
        </div>
    @else
        <table class="table-plain stacked">
            <thead>
                <tr>
                    <th scope="col">Room</th>
                    <th scope="col">Open</th>
                    <th scope="col">Next</th>
                    <th scope="col">Link</th>
                    <th scope="col">Preset</th>
                    <th scope="col"><span class="visually-hidden">Acts</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $r)
                    <tr id="room-{{ $r['id'] }}">
                        <td><b>{{ $r['name'] }}</b>
                            @if ($r['isHidden'])
                                <span class="todo">hidden</span>
                            @endif
                            <br>
                            <a href="{{ route('section', $r['sectionId']) }}">{{ $r['section'] }}</a>
                        </td>
                        <td>{{ $r['hours'] }}</td>
                        <td class="nowrap {{ $r['isOpen'] ? 'good' : '' }}">{{ $r['next'] }}</td>
                        <td><span class="mono nowrap">{{ $r['code'] }}</span> <x-copy :text="$r['link']" /><br><small
                                class="quiet">{{ $r['phone'] }}</small></td>
                        <td title="{{ $r['sentence'] }}">{{ $r['preset'] }}</td>
                        <td>
                            <div class="inline"><a class="btn btn-side" href="{{ route('drop-in.live', $r['id']) }}">Live desk<span
                                        class="visually-hidden"> of {{ $r['name'] }}</span></a>
                                <form method="post" action="{{ route('drop-ins.hide', $r['id']) }}">@csrf<input type="hidden"
                                        name="hidden" value="{{ $r['isHidden'] ? 0 : 1 }}"><button
                                        class="btn btn-side">{{ $r['isHidden'] ? 'Show' : 'Hide' }}<span class="visually-hidden">
                                            {{ $r['name'] }}</span></button></form>
                                <details class="row-more">
                                    <summary class="btn btn-side">More<span class="visually-hidden"> for {{ $r['name'] }}</span>…
                                    </summary>
                                    <div class="card-s">
                                        <form method="post" action="{{ route('drop-ins.update', $r['id']) }}">@csrf @method('put')
                                            <label class="form-label" for="name-{{ $r['id'] }}">Name</label><input
                                                class="form-control mb-2" id="name-{{ $r['id'] }}" name="name" maxlength="80"
                                                value="{{ $r['name'] }}">
                                            <label class="form-label" for="hours-{{ $r['id'] }}">Open</label><input
                                                class="form-control mb-2" id="hours-{{ $r['id'] }}" name="hours" maxlength="300"
                                                value="{{ $r['hours'] }}">
                                            <label class="form-label" for="preset-{{ $r['id'] }}">Preset</label><select
                                                class="form-select mb-2" id="preset-{{ $r['id'] }}" name="preset">
                                                @foreach ($presets as $p)
                                                    <option value="{{ $p->key }}" @selected($p->key === $r['presetKey'])>{{ $p->name }}
                                                    </option>
                                                @endforeach
                                            </select>
                                            <p class="quiet">{{ $r['sentence'] }}</p><button class="btn btn-main">Save<span
                                                    class="visually-hidden"> {{ $r['name'] }}</span></button>
                                        </form>
                                        <div class="inline mt-3">
                                            <form method="post" action="{{ route('drop-ins.replace', $r['id']) }}">@csrf<button
                                                    class="btn btn-wrong">Replace the link<span class="visually-hidden"> of
                                                        {{ $r['name'] }}</span></button></form>
                                            <form method="post" action="{{ route('drop-ins.destroy', $r['id']) }}">@csrf
                                                @method('delete')<button class="btn btn-wrong">Take it out<span class="visually-hidden">:
                                                        {{ $r['name'] }}</span></button></form>
                                        </div>
                                    </div>
                                </details>
                            </div>
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <section class="card-s mt-3">
        <h2>A new room</h2>
        <form method="post" action="{{ route('drop-ins.store') }}">@csrf<input type="hidden" name="uid"
                value="{{ old('uid', $uid) }}">
            <div class="inline mb-2"><label for="section">Section</label><select class="form-select w-auto" id="section" name="section">
                    <option value="">choose…</option>
                    @foreach ($sections as $id => $name)
                        <option value="{{ $id }}" @selected(old('section') === (string) $id)>{{ $name }}</option>
                    @endforeach
                </select>
                <label for="name">Name</label><input class="form-control w-auto" id="name" name="name" maxlength="80"
                    value="{{ old('name', 'Office hours') }}">
                <label for="hours">Open</label><input class="form-control hours" id="hours" name="hours" maxlength="300"
                    value="{{ old('hours') }}" placeholder="Tue 15:00-16:00, Thu 9-10" @error('hours') aria-invalid="true" @enderror>
                <label for="preset">Preset</label><select class="form-select w-auto" id="preset" name="preset">
                    @foreach ($presets as $p)
                        <option value="{{ $p->key }}" @selected(old('preset', 'office-hours') === $p->key)>{{ $p->name }}</option>
                    @endforeach
                </select>
                <button class="btn btn-main">Make the room</button>
            </div>
            @foreach (['section', 'name', 'hours', 'preset', 'uid'] as $f)
                @error($f)
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
            @endforeach
            <p class="quiet mb-0">Weekdays and spans on the school's clock. Office hours:
                {{ lcfirst($presets['office-hours']->sentence()) }}</p>
        </form>
    </section>
</x-app>
