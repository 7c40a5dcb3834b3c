import { useEffect, useState } from 'react';
import { createRoot } from 'react-dom/client';
import './site.css';

function Log() {
  const [entries, setEntries] = useState([]);
  useEffect(() => {
    const later = setTimeout(() => setEntries(['Fog from noon', 'The boat came in']), 50);
    return () => clearTimeout(later);
  }, []);
  return (
    <main>
      <h1>Keeper’s log</h1>
      <p className="intro">What the keepers wrote down, night by night.</p>
      {entries.map((entry) => (
        <p key={entry} className="entry">
          {entry}
        </p>
      ))}
      <div className="filler" />
    </main>
  );
}

createRoot(document.getElementById('root')).render(<Log />);
